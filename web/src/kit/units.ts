import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useSession } from '../api/house';
import { unitsFor, type Units } from './reader';

export { readNumber, type Units } from './reader';

export const percent = (fraction: number): string => `${(fraction * 100).toFixed(1)} %`.replace('-', '−');

export const date = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' }).format(
    dayjs(iso).toDate(),
  );

export const shortDate = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' }).format(
    dayjs(iso).toDate(),
  );

export const moment = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(dayjs(iso).toDate());

export const days = (count: number): string => `${count} ${count === 1 ? 'day' : 'days'}`;

/** Everything that is shown in or read from the signed-in person's units. */
export function useUnits(): Units {
  const me = useSession().data?.me;
  return useMemo(() => unitsFor(me), [me]);
}
