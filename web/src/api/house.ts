import { QueryClient, useQuery } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { unitsFor } from '../kit/reader';
import { answer, api, Problem, writeQuantitiesWith } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      retry: (count, failure) => count < 2 && failure instanceof Problem && failure.status === 0,
    },
  },
});

writeQuantitiesWith(unitsFor(undefined).sentence);

/** Who is signed in; from then on, what the server says is written in their units. */
const session = {
  queryKey: ['session'],
  queryFn: async () => {
    const answered = await answer(api.GET('/api/session'));
    writeQuantitiesWith(unitsFor(answered.me).sentence);
    return answered;
  },
};

export const useSession = () => useQuery({ ...session, staleTime: 60_000 });

/** The day it is in the shop, wherever the browser thinks it is. */
export const useToday = () => useSession().data?.me?.today ?? dayjs().format('YYYY-MM-DD');

/** After anything was written: all that is on screen is read afresh. */
export const refresh = () => queryClient.invalidateQueries();
