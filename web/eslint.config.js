import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** Everything beside api and kit is a view, or the shell that holds them. */
const views = (source) => ({
  regex: `^${source.replaceAll('.', '\\.')}(?!api/|kit/|\\.\\./)`,
  message: 'Nothing in api or kit knows a view.',
});

export default ts.config(
  { ignores: ['src/api/schema.d.ts'] },
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  {
    files: ['src/api/**', 'src/kit/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [views('../')] }] },
  },
  {
    files: ['src/kit/*/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [views('../../')] }] },
  },
  {
    // The job is worked out on the server. What is drawn by a law is drawn from points that came from there.
    files: ['src/**'],
    ignores: ['src/kit/**', 'src/compare/DotChart.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "MemberExpression[object.name='Math'][property.name=/^(exp|log|log10|pow|sqrt|cbrt|tanh)$/]",
          message: 'The job is worked out on the server, in core.',
        },
      ],
    },
  },
);
