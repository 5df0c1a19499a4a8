import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useChambers = () =>
  useQuery({ queryKey: ['chambers'], queryFn: () => answer(api.GET('/api/chambers')) });

/** One of each kind as they usually are. */
export const useUsualChambers = (wanted: boolean) =>
  useQuery({
    queryKey: ['usual-chambers'],
    queryFn: () => answer(api.GET('/api/chambers/usual')),
    enabled: wanted,
    staleTime: Infinity,
  });

/** The air of a chamber in the hours up to now; as many points as a screen shows apart. */
export const useAir = (id: string, hours: number, points: number) =>
  useQuery({
    queryKey: ['air', id, hours],
    queryFn: () => {
      const to = new Date();
      const from = new Date(to.getTime() - hours * 3_600_000);
      return answer(
        api.GET('/api/chambers/{id}/air', {
          params: { path: { id }, query: { from: from.toISOString(), to: to.toISOString(), points } },
        }),
      );
    },
    refetchInterval: 60_000,
    placeholderData: (before) => before,
  });

export const useAges = (id: string) =>
  useQuery({
    queryKey: ['ages', id],
    queryFn: () => answer(api.GET('/api/chambers/{id}/ages', { params: { path: { id } } })),
  });

export const useRoomWater = (id: string) =>
  useQuery({
    queryKey: ['water', id],
    queryFn: () => answer(api.GET('/api/chambers/{id}/water', { params: { path: { id } } })),
    staleTime: 60_000,
  });

export const useDevices = () =>
  useQuery({ queryKey: ['devices'], queryFn: () => answer(api.GET('/api/devices')) });

export const useChamberRecord = (id: string, from: string, to: string) =>
  useQuery({
    queryKey: ['record', id, from, to],
    queryFn: () =>
      answer(api.GET('/api/chambers/{id}/record', { params: { path: { id }, query: { from, to } } })),
    placeholderData: (before) => before,
    retry: false,
  });

/** How full each chamber will be. */
export const useLoad = (days: number) =>
  useQuery({
    queryKey: ['load', days],
    queryFn: () => answer(api.GET('/api/load', { params: { query: { days } } })),
  });
