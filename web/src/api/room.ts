import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';
import { queryClient } from './house';

const room = { queryKey: ['room'], queryFn: () => answer(api.GET('/api/room')) };

export const useRoom = () => useQuery({ ...room, refetchInterval: 60_000 });

/** On its way while the page around it is still being drawn. */
export const askForRoom = () => void queryClient.prefetchQuery(room);

/** Lots that hang nowhere yet; never from memory, as what is chosen first is kept in a form. */
export const useUncutLots = () =>
  useQuery({
    queryKey: ['lots', 'uncut'],
    queryFn: async () => {
      const { today, due } = await answer(api.GET('/api/room'));
      return { today, lots: due.filter(({ work }) => work === 'HANG') };
    },
    gcTime: 0,
  });

export const useTasks = (days: number) =>
  useQuery({
    queryKey: ['tasks', days],
    queryFn: () => answer(api.GET('/api/tasks', { params: { query: { days } } })),
  });

export const useCalendarFeed = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => answer(api.GET('/api/me/calendar')) });
