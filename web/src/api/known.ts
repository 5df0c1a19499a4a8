import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import { useQueryClient, type Query } from '@tanstack/react-query';
import type { PersistQueryClientOptions } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { useEffect } from 'react';
import { queryClient } from './house';
import { looksQuery, pieceQuery } from './pieces';
import { useRoom } from './room';

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
const BEGIN_AFTER_MS = 1_000;
const PAUSE_MS = 100;

/** What is due first is done first. */
const onPieces = new Set(['WEIGH', 'LOOK', 'STOP', 'PULL', 'PULL_OVERDUE']);

/** Fetches the pieces of the room one after the other while nothing else is to do, before a network is missed. */
export function useBeforehand(): void {
  const client = useQueryClient();
  const room = useRoom().data;
  const all = [
    ...(room?.due.flatMap(({ subject, work }) => (onPieces.has(work) ? [subject.id] : [])) ?? []),
    ...(room?.pulled.map(({ id }) => id) ?? []),
    ...(room?.chambers.flatMap(({ pieces }) => pieces.map(({ id }) => id)) ?? []),
  ];
  const ids = [...new Set(all)].slice(0, MOST_BEFOREHAND).join(' ');
  useEffect(() => {
    let left = false;
    const fetchAll = async () => {
      for (const id of ids.split(' ').filter(Boolean)) {
        if (left) {
          return;
        }
        await client.prefetchQuery({ ...pieceQuery(id), staleTime: 3_600_000 });
        await client.prefetchQuery({ ...looksQuery(id), staleTime: 3_600_000 });
        await new Promise((next) => setTimeout(next, PAUSE_MS));
      }
    };
    const timer = setTimeout(() => void fetchAll(), BEGIN_AFTER_MS);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [client, ids]);
}
