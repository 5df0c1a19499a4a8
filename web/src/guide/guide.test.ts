import { expect, test } from 'vitest';
import { workedExample } from './example';
import { rules } from './rules';

const figure = (text: string): number => Number(/[\d.]+/.exec(text)?.[0]);

test.each(workedExample.map((each) => [each.step, each] as const))(
  'by hand and by Elvaro agree: %s',
  (_, { byHand, elvaro }) => {
    expect(Math.abs(figure(elvaro) - figure(byHand))).toBeLessThanOrEqual(figure(byHand) * 0.001);
    expect(elvaro.replace(/[\d.]+/g, '#')).toBe(byHand.replace(/[\d.]+/g, '#'));
  },
);

test('every caution has a name of its own, a source, and never says that something is safe', () => {
  expect(new Set(rules.map((rule) => rule.id)).size).toBe(rules.length);
  for (const rule of rules) {
    expect(rule.source).not.toBe('');
    expect([rule.title, ...rule.says].join(' ').toLowerCase()).not.toMatch(/\bsafe\b/);
  }
});
