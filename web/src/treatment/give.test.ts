import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { armOf } from '../trial/draft';
import { firstOf, ofRecipe } from './draft';
import { doseBody, giveBody } from './give';

const honey: Schema['TreatmentView'] = {
  kind: 'SUGAR_COAT',
  label: 'Sugar or syrup coat',
  what: '',
  slows: true,
  onTheSurface: 'sugar or syrup',
  first: { amount: 250, measure: 'GRAM', basis: 'SQUARE_METRE', words: '' },
  steps: [],
  lookFor: '',
  nextTime: '',
};

test('a kind is sent with its dose; what is not a number is sent as none', () => {
  const give = { ...firstOf(honey), exactly: 'buckwheat honey', number: '' };
  expect(giveBody(give)).toEqual({
    kind: 'SUGAR_COAT',
    exactly: 'buckwheat honey',
    amount: 250,
    measure: 'GRAM',
    basis: 'SQUARE_METRE',
    rawGarlicOrHerbs: false,
    oil: false,
    spirit: false,
  });
  expect(doseBody({ ...give, amount: 'a lot' })).not.toHaveProperty('amount');
  expect(giveBody({ ...give, number: '4' })).toHaveProperty('number', 4);
});

test('a recipe says its dose itself: only its id is sent', () => {
  const recipe: Schema['RecipeView'] = {
    id: 'r',
    version: 0,
    name: 'Porcini rub',
    kind: 'PASTE',
    kindLabel: 'Paste or rub',
    amount: 10,
    basis: 'KILOGRAM',
    dose: '10 g per kg green weight',
    parts: [{ name: 'porcini powder', parts: 1, priceMinorPerKg: 0 }],
    rawGarlicOrHerbs: false,
    oil: true,
    spirit: false,
    note: '',
  };
  const body = doseBody(ofRecipe(recipe));
  expect(body).toMatchObject({ kind: 'PASTE', recipeId: 'r', oil: true });
  expect(body).not.toHaveProperty('amount');
});

test('the arm of a trial before fills the fields of the next as it was set up', () => {
  const units = buildUnits('KG', false, false, 'EUR');
  const set = {
    method: 'MEMBRANE' as const,
    chamberId: 'pantry',
    targetDays: 28,
    consumablesMinor: 700,
    treatments: [
      {
        kind: 'SUGAR_COAT' as const,
        exactly: 'buckwheat honey',
        amount: 22,
        measure: 'GRAM' as const,
        basis: 'KILOGRAM' as const,
        coatGrams: 0,
        rawGarlicOrHerbs: false,
        oil: false,
        spirit: false,
        answers: {},
      },
    ],
  };
  const half = { ...set, treatments: set.treatments.map((each) => ({ ...each, amount: 11 })) };
  const before = {
    name: 'Honey',
    control: false,
    choices: [
      { change: 'AGAIN' as const, label: 'as it was', setUp: set },
      { change: 'HALF_DOSE' as const, label: 'half', setUp: half },
    ],
  };
  const arm = armOf(before, 1, [honey], 'room', units);
  expect(arm).toMatchObject({ method: 'MEMBRANE', chamberId: 'pantry', days: '28', consumables: '7.00' });
  expect(arm.gives).toMatchObject([
    { amount: '11', basis: 'KILOGRAM', exactly: 'buckwheat honey', number: '' },
  ]);
  expect(armOf(before, 0, [honey], 'room', units).gives[0]?.amount).toBe('22');
  expect(armOf({ name: 'Plain', control: true, choices: [] }, 0, [honey], 'room', units).gives).toEqual([]);
});
