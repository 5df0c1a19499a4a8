import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { useQueryClient, type Query, type QueryClient } from '@tanstack/react-query';
import type { PersistQueryClientOptions } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { useEffect } from 'react';
import type { Schema } from './client';
import { queryClient } from './house';
import { looksQuery, pieceQuery } from './pieces';

/** What is kept of the house on this device, so that the room can be worked in where no network reaches. */
const kept = new Set([
  'session',
  'room',
  'pieces',
  'looks',
  'tasks',
  'chambers',
  'devices',
  'methods',
  'cuts',
  'cautions',
  'inspection-rules',
  'look-key',
  'given',
  'treatments',
  'preparation',
  'workshop',
  'lots',
  'stock',
  'trials',
  'tastings',
]);

const KEPT_FOR_MS = 7 * 24 * 3_600_000;

/** Asked by what is typed: of no use to anybody else. */
const typed = (query: Query) => query.queryKey.some((part) => typeof part === 'object' && part !== null);

kept.forEach((name) => queryClient.setQueryDefaults([name], { gcTime: KEPT_FOR_MS }));

const persister = createAsyncStoragePersister({
  key: 'elvaro known',
  throttleTime: 2_000,
  storage: {
    getItem: async (key) => (await get<string>(key)) ?? null,
    setItem: set,
    removeItem: del,
  },
});

export const keptOnDevice: Omit<PersistQueryClientOptions, 'queryClient'> = {
  persister,
  maxAge: KEPT_FOR_MS,
  // What an older version knew may have another shape.
  buster: __BUILD__,
  dehydrateOptions: {
    shouldDehydrateQuery: (query) =>
      query.state.data !== undefined && kept.has(String(query.queryKey[0])) && !typed(query),
  },
};

/** When somebody signs out, nothing of the house stays on the device. */
export async function forgetKnown(): Promise<void> {
  queryClient.clear();
  await persister.removeClient();
}

const MOST_BEFOREHAND = 60;
const BEGIN_AFTER_MS = 8_000;
const PAUSE_MS = 150;

/** Fetches pieces one after the other, before a network is missed. */
async function fetchPieces(
  client: QueryClient,
  ids: string[],
  pause: number,
  left: () => boolean,
): Promise<void> {
  for (const id of ids) {
    if (left()) {
      return;
    }
    await client.prefetchQuery({ ...pieceQuery(id), staleTime: 3_600_000 });
    await client.prefetchQuery({ ...looksQuery(id), staleTime: 3_600_000 });
    await new Promise((next) => setTimeout(next, pause));
  }
}

/** The pieces of a round are wanted next. */
export function useRoundBeforehand(wanted: string[]): void {
  const client = useQueryClient();
  const ids = [...new Set(wanted)].slice(0, MOST_BEFOREHAND).join(' ');
  useEffect(() => {
    let left = false;
    void fetchPieces(client, ids.split(' ').filter(Boolean), 0, () => left);
    return () => {
      left = true;
    };
  }, [client, ids]);
}

/** The pieces of the room, once nothing else is to do. The room is as it was last seen: asking for it is for its own view. */
export function useBeforehand(): void {
  const client = useQueryClient();
  useEffect(() => {
    let left = false;
    const begin = () => {
      const room = client.getQueryData<Schema['RoomView']>(['room']);
      const all = [...(room?.pulled ?? []), ...(room?.chambers.flatMap(({ pieces }) => pieces) ?? [])];
      const ids = all.slice(0, MOST_BEFOREHAND).map(({ id }) => id);
      void fetchPieces(client, ids, PAUSE_MS, () => left);
    };
    const timer = setTimeout(begin, BEGIN_AFTER_MS);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [client]);
}
