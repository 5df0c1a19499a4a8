import { QueryClient, useQuery } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { unitsFor } from '../kit/reader';
import { keepDraftsOf } from '../kit/drafts';
import { localeOf, writeAs } from '../kit/locale';
import { answer, api, drawFor, Problem, whenSignedOut, writeQuantitiesWith, type Schema } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      // Whether there is a network is for the answer to say, not for the browser: it often does not know.
      networkMode: 'always',
      refetchOnReconnect: true,
      retry: (count, failure) => count < 1 && failure instanceof Problem && failure.status === 0,
    },
    mutations: { networkMode: 'always' },
  },
});

writeQuantitiesWith(unitsFor(undefined).sentence);

/** Whoever the page is drawn for, though the session may have ended since. */
let drawnFor: Schema['Me'] | undefined;

/** Whether Elvaro said so since the page was opened, and not only this device. */
let confirmed = false;

/** Whether Elvaro was asked since, and answered or did not. */
let asked = false;

function draw(me: Schema['Me'] | undefined): void {
  drawnFor = me;
  drawFor(me?.id);
  writeAs(localeOf(me));
  keepDraftsOf(me?.id);
  writeQuantitiesWith(unitsFor(me).sentence);
}

let askAtOnce = (): void => undefined;

/** Asks for what the page will need, once, as soon as it is known that somebody is in. */
export function whenSignedIn(ask: () => void): void {
  askAtOnce = () => {
    askAtOnce = () => undefined;
    ask();
  };
}

/** Who is signed in; from then on, what the server says is written in their units. */
const session = {
  queryKey: ['session'],
  queryFn: async () => {
    drawFor(undefined); // whoever it is now
    const { me, setupNeeded, guess } = await answer(api.GET('/api/session')).finally(() => {
      asked = true;
      drawFor(drawnFor?.id);
    });
    if (me && drawnFor && me.id !== drawnFor.id) {
      // Another person is in: nothing of the one before stays on the screen.
      if (confirmed) {
        window.location.assign('/');
      } else {
        queryClient.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
      }
    }
    const ended = !me && confirmed;
    confirmed ||= me !== undefined;
    draw(me ?? (ended ? drawnFor : undefined));
    if (me) {
      askAtOnce();
    }
    return { setupNeeded, guess, me: drawnFor, ended };
  },
};

/** What this device knows, and of whom: all of it is asked anew as it is shown, however fresh it is. */
export function drawAsKnown(): void {
  void queryClient.invalidateQueries({ refetchType: 'none' });
  draw(queryClient.getQueryData<{ me?: Schema['Me'] }>(session.queryKey)?.me);
}

whenSignedOut(() => void queryClient.invalidateQueries({ queryKey: session.queryKey }));

export const useSession = () => useQuery({ ...session, staleTime: 60_000 });

/** Under which address people reach the house, for links that leave this screen. */
export function useHouseAddress(): { address: string; onlyHere: boolean } {
  const me = useSession().data?.me;
  return { address: me?.houseAddress ?? window.location.origin, onlyHere: me?.onlyHere ?? false };
}

/**
 * The same asked anew when the page is opened: what the device knows counts only where Elvaro does not answer. No data until
 * it was asked.
 */
export function useSessionAtTheDoor() {
  // Whether it is being asked is read as well: an answer that says what the device knew would else go unnoticed.
  const { data, error, isFetching } = useQuery({ ...session, refetchOnMount: 'always', retry: false });
  return { data: asked ? data : undefined, error, isFetching };
}

/** Asks again whether Elvaro answers. */
export const askAgain = () => queryClient.refetchQueries({ queryKey: session.queryKey });

/** The day it is in the shop, wherever the browser thinks it is. */
export const useToday = () => useSession().data?.me?.today ?? dayjs().format('YYYY-MM-DD');

/** After anything was written: all that is on screen is read afresh. */
export const refresh = () => queryClient.invalidateQueries();
