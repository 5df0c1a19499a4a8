import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useRoom = () =>
  useQuery({ queryKey: ['room'], queryFn: () => answer(api.GET('/api/room')), refetchInterval: 60_000 });

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
