import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

const OFTEN_MS = 15_000;

/** How the signed-in person is told. */
export const useMyNotices = () =>
  useQuery({ queryKey: ['notices', 'mine'], queryFn: () => answer(api.GET('/api/me/notices')) });

export const useHouseNotices = () =>
  useQuery({ queryKey: ['notices', 'house'], queryFn: () => answer(api.GET('/api/notices/house')) });

/** What was told lately. @param everyMs how often it is asked for anew */
export const useTold = (everyMs = OFTEN_MS) =>
  useQuery({
    queryKey: ['notices', 'told'],
    queryFn: () => answer(api.GET('/api/notices')),
    refetchInterval: everyMs,
  });

/** What is wrong now and was lately, and what could not be told. */
export const useAlarms = () =>
  useQuery({
    queryKey: ['alarms'],
    queryFn: () => answer(api.GET('/api/alarms')),
    refetchInterval: OFTEN_MS,
  });

export const useAlarm = (id: string) =>
  useQuery({
    queryKey: ['alarms', id],
    queryFn: () => answer(api.GET('/api/alarms/{id}', { params: { path: { id } } })),
    refetchInterval: OFTEN_MS,
  });

export const useColleagues = () =>
  useQuery({ queryKey: ['colleagues'], queryFn: () => answer(api.GET('/api/colleagues')) });
