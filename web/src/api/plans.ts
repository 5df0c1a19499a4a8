import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

export const usePlans = () => useQuery({ queryKey: ['plans'], queryFn: () => answer(api.GET('/api/plans')) });

/** What would become of a scenario; the one before stays on screen until the answer is there. */
export const useForward = (body: Schema['ScenarioForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'forward', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/plan/forward', { body: body as Schema['ScenarioForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

/** What a plan begins with. */
export const useFirstPlan = () =>
  useQuery({ queryKey: ['plan', 'first'], queryFn: () => answer(api.GET('/api/plan/first')) });

/** What the question whether it is worth it begins with. */
export const useFirstWorth = () =>
  useQuery({ queryKey: ['plan', 'worth', 'first'], queryFn: () => answer(api.GET('/api/plan/worth/first')) });

export const useWorth = (body: Schema['WorthForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'worth', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/plan/worth', { body: body as Schema['WorthForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useRooms = (body: Schema['RoomForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'room', body],
    queryFn: ({ signal }) => answer(api.POST('/api/plan/room', { body: body as Schema['RoomForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
