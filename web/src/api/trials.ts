import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

export const useTrials = () =>
  useQuery({ queryKey: ['trials'], queryFn: () => answer(api.GET('/api/trials')) });

export const useTrial = (id: string, wanted = true) =>
  useQuery({
    queryKey: ['trials', id],
    queryFn: () => answer(api.GET('/api/trials/{id}', { params: { path: { id } } })),
    enabled: wanted,
  });

export const useLessons = () =>
  useQuery({ queryKey: ['trials', 'lessons'], queryFn: () => answer(api.GET('/api/trials/lessons')) });

export const useFactors = () =>
  useQuery({
    queryKey: ['trials', 'factors'],
    queryFn: () => answer(api.GET('/api/trials/factors')),
    staleTime: Infinity,
  });

export const useMeasures = () =>
  useQuery({
    queryKey: ['trials', 'measures'],
    queryFn: () => answer(api.GET('/api/trials/measures')),
    staleTime: Infinity,
  });

/** What a next trial may change in each arm; so many days more or fewer for all. */
export const useNext = (id: string, longer: number, wanted = true) =>
  useQuery({
    queryKey: ['trials', id, 'next', longer],
    queryFn: () =>
      answer(api.GET('/api/trials/{id}/next', { params: { path: { id }, query: { days: longer } } })),
    enabled: wanted,
    placeholderData: (before) => before,
  });

/** What other houses found by the same protocol. */
export const useHouses = (id: string) =>
  useQuery({
    queryKey: ['trials', id, 'houses'],
    queryFn: () => answer(api.GET('/api/trials/{id}/houses', { params: { path: { id } } })),
  });

/** A trial as a protocol of another house says. */
export const useProtocol = (id: string, wanted: boolean) =>
  useQuery({
    queryKey: ['protocols', id],
    queryFn: () => answer(api.GET('/api/protocols/{id}/trial', { params: { path: { id } } })),
    enabled: wanted,
  });

/** What weakens a trial that is only planned; the answer before stays on screen until the next is there. */
export const useDesignCheck = (body: Schema['TrialForm'] | null) =>
  useQuery({
    queryKey: ['trials', 'check', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/trials/check', { body: body as Schema['TrialForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
