import ts from 'typescript';
import { expect, test } from 'vitest';

/** Attributes whose words are shown or read out. */
const SHOWN =
  /^(label|title|name|helper|helperText|placeholder|about|aside|note|keep|or|said|save|empty|unit|like|required|confirm|aria-label|ariaLabel)$/;

/** What is code and no words: addresses, keys, colours, sizes. */
const isWords = (text: string) =>
  /\p{L}{2}/u.test(text) &&
  !/^[\w-]+(\/|$)/.test(text.replace(/^\p{Lu}\p{Ll}+$/u, '')) &&
  !/^[/#.$]|var\(--|[{}=;]|\d(fr|px|rem|em|ms)\b|minmax|scale\(|\bauto$/.test(text);

/** Every text a file shows, with `…` where a value is put in. */
function wordsOf(source: ts.SourceFile): string[] {
  const found: string[] = [];
  const add = (text: string) => {
    const clean = text.replace(/\s+/g, ' ').trim();
    if (isWords(clean)) {
      found.push(clean);
    }
  };
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) {
      return;
    }
    if (ts.isJsxText(node)) {
      add(node.text);
    } else if (ts.isJsxAttribute(node) && node.name.getText(source) === 'sx') {
      return;
    } else if (ts.isJsxAttribute(node) && !SHOWN.test(node.name.getText(source))) {
      if (node.initializer && !ts.isStringLiteral(node.initializer)) {
        ts.forEachChild(node.initializer, visit);
      }
      return;
    } else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (ts.isJsxAttribute(node.parent) || /\s/.test(node.text) || /^\p{Lu}\p{Ll}+$/u.test(node.text)) {
        add(node.text);
      }
    } else if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');
      if (/\s/.test(text)) {
        add(text);
      }
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** All that is shown, by its address here. */
const sources = import.meta.glob<string>(
  ['./*/**/*.{ts,tsx}', '!./api/**', '!./**/testing/**', '!./**/*.test.*'],
  { query: '?raw', import: 'default', eager: true },
);

/**
 * So that a changed word is seen: all that views say, by view. After a change that is meant, `npx vitest run -u src/words.test.ts`
 * writes the table anew.
 */
test('every word that is shown stands in the table of words', async () => {
  const views = new Map<string, Set<string>>();
  for (const [path, text] of Object.entries(sources)) {
    const view = path.split('/')[1] ?? '';
    const words = views.get(view) ?? new Set();
    views.set(view, words);
    wordsOf(ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true)).forEach((each) => words.add(each));
  }
  const table = [...views]
    .sort(([one], [other]) => one.localeCompare(other))
    .map(([view, words]) => [`# ${view}`, ...[...words].sort(), ''].join('\n'));
  await expect(table.join('\n')).toMatchFileSnapshot('./words.txt');
});
