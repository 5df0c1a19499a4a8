import { expect, test } from 'vitest';
import { firstOf, measured } from './draft';

test.each([
  [1.499144, '1.5'],
  [0.141, '0.141'],
  [22.44, '22.4'],
  [850.4, '850'],
  [12_345, '12345'],
])('%s is read off a spoon or a scale as %s', (amount, words) => {
  expect(measured(amount)).toBe(words);
});

test('a kind begins with its own dose; one that goes by time has none', () => {
  const smoke = {
    kind: 'COLD_SMOKE',
    label: 'Cold smoke',
    what: '',
    slows: false,
    onTheSurface: 'nothing',
    steps: [],
    lookFor: '',
    nextTime: '',
  } as const;
  expect(firstOf({ ...smoke, steps: [] }).amount).toBe('');
  const first = { amount: 1, measure: 'TEASPOON', basis: 'FIVE_POUNDS', words: '' } as const;
  expect(firstOf({ ...smoke, steps: [], kind: 'LIQUID_SMOKE', first })).toEqual({
    kind: 'LIQUID_SMOKE',
    amount: '1',
    measure: 'TEASPOON',
    basis: 'FIVE_POUNDS',
    recipeId: '',
    rawGarlicOrHerbs: false,
    oil: false,
    spirit: false,
  });
});
