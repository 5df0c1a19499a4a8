import type { Schema } from '../api/client';
import type { Units } from './reader';

/** How a piece is aged, as it is typed. */
export interface Ageing {
  method: Schema['MethodView']['method'];
  days: string;
  consumables: string;
}

/** How most people age in a place of this kind the first time, with the days and what it uses up. */
export function usualAgeing(
  methods: Schema['MethodView'][],
  kind: Schema['ChamberForm']['kind'] | undefined,
  units: Units,
): Ageing | undefined {
  const usual = methods.find(({ usualIn }) => kind && usualIn.includes(kind));
  return (
    usual && {
      method: usual.method,
      days: String(usual.usualDays),
      consumables: usual.usualConsumablesMinor > 0 ? units.moneyForField(usual.usualConsumablesMinor) : '',
    }
  );
}
