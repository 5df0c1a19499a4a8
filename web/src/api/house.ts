import { QueryClient, useQuery } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { unitsFor } from '../kit/reader';
import { keepDraftsOf } from '../kit/drafts';
import { answer, api, drawFor, Problem, whenSignedOut, writeQuantitiesWith, type Schema } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      retry: (count, failure) => count < 2 && failure instanceof Problem && failure.status === 0,
    },
  },
});

writeQuantitiesWith(unitsFor(undefined).sentence);

/** Whoever the page is drawn for, though the session may have ended since. */
let drawnFor: Schema['Me'] | undefined;

/** Who is signed in; from then on, what the server says is written in their units. */
const session = {
  queryKey: ['session'],
  queryFn: async () => {
    drawFor(undefined); // whoever it is now
    const answered = await answer(api.GET('/api/session'));
    if (answered.me && drawnFor && answered.me.id !== drawnFor.id) {
      window.location.assign('/'); // Another person is in: nothing of the one before stays on the screen.
    }
    const ended = !answered.me && drawnFor !== undefined;
    drawnFor = answered.me ?? drawnFor;
    drawFor(drawnFor?.id);
    keepDraftsOf(drawnFor?.id);
    writeQuantitiesWith(unitsFor(drawnFor).sentence);
    return { ...answered, me: drawnFor, ended };
  },
};

whenSignedOut(() => void queryClient.invalidateQueries({ queryKey: session.queryKey }));

export const useSession = () => useQuery({ ...session, staleTime: 60_000 });

/** The day it is in the shop, wherever the browser thinks it is. */
export const useToday = () => useSession().data?.me?.today ?? dayjs().format('YYYY-MM-DD');

/** After anything was written: all that is on screen is read afresh. */
export const refresh = () => queryClient.invalidateQueries();
