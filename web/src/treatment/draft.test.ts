import { expect, test } from 'vitest';
import { firstOf } from './draft';

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
