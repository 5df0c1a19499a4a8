import { useMemo } from 'react';
import { useSession } from '../api/house';
import { unitsFor, type Units } from './reader';
import { writeNumber } from './weights';

export { readDays, readNumber, readPercent, type Units } from './reader';
export { clock, date, dayOfYear, moment, shortDate } from './locale';

export const percent = (fraction: number): string => `${writeNumber(fraction * 100, 1)} %`;

export const days = (count: number): string => `${count} ${count === 1 ? 'day' : 'days'}`;

/** A figure without a unit, with so many decimals. */
export const figure = (value: number, digits: number): string => writeNumber(value, digits);

/** Everything that is shown in or read from the signed-in person's units. */
export function useUnits(): Units {
  const me = useSession().data?.me;
  return useMemo(() => unitsFor(me), [me]);
}
