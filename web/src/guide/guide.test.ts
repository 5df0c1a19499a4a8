import { expect, test } from 'vitest';
import { workedExample } from './example';
import {
  benchWorking,
  compareWorking,
  devices,
  gameWorking,
  ledgerWorking,
  tastingWorking,
  trialWorking,
} from './rules';
import { speaksOf } from './search';

const figure = (text: string): number => Number(/[\d.]+/.exec(text)?.[0]);

test.each(workedExample.map((each) => [each.step, each] as const))(
  'by hand and by Elvaro agree: %s',
  (_, { byHand, elvaro }) => {
    expect(Math.abs(figure(elvaro) - figure(byHand))).toBeLessThanOrEqual(figure(byHand) * 0.001);
    expect(elvaro.replace(/[\d.]+/g, '#')).toBe(byHand.replace(/[\d.]+/g, '#'));
  },
);

const parts = [
  ledgerWorking,
  trialWorking,
  benchWorking,
  gameWorking,
  compareWorking,
  tastingWorking,
  devices,
];

test.each(['shrink', 'ice', 'hide', 'disease', 'least squares', 'bradley', '853/2004'])(
  'the guide speaks of %s somewhere',
  (asked) => {
    const terms = parts.flat();
    expect(terms.some((term) => speaksOf(asked, ...term))).toBe(true);
  },
);

test('no working calls anything safe, and no name stands twice in a part', () => {
  for (const part of parts) {
    expect(new Set(part.map(([name]) => name)).size).toBe(part.length);
    expect(part.flat().join(' ').toLowerCase()).not.toMatch(/\bsafe\b/);
  }
});
