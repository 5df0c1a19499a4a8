import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { usualAgeing } from './methods';
import { buildUnits } from './reader';

const method = (
  method: Schema['MethodView']['method'],
  usualIn: Schema['MethodView']['usualIn'],
  usualDays: number,
  usualConsumablesMinor: number,
): Schema['MethodView'] => ({
  method,
  label: method,
  surface: '',
  usualDays,
  usualConsumablesMinor,
  usualIn,
});

const methods = [
  method('OPEN_AIR', ['CABINET', 'WALK_IN'], 28, 0),
  method('MEMBRANE', ['REFRIGERATOR'], 35, 700),
];
const units = buildUnits('LB', true, true, 'USD', 'en-US');

test('a piece is offered what suits the place it goes into, with its days and what that uses up', () => {
  expect(usualAgeing(methods, 'REFRIGERATOR', units)).toEqual({
    method: 'MEMBRANE',
    days: '35',
    consumables: '7.00',
  });
  expect(usualAgeing(methods, 'WALK_IN', units)).toEqual({ method: 'OPEN_AIR', days: '28', consumables: '' });
});

test('where nobody knows the place nothing is offered', () => {
  expect(usualAgeing(methods, undefined, units)).toBeUndefined();
  expect(usualAgeing(methods, 'SHED', units)).toBeUndefined();
});
