import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

/** The lessons, and what is running. */
export const useCourse = () =>
  useQuery({ queryKey: ['course'], queryFn: () => answer(api.GET('/api/rehearsals')) });

/** The rehearsal one is in. */
export const useRehearsal = (inside: boolean) =>
  useQuery({
    queryKey: ['rehearsal'],
    queryFn: () => answer(api.GET('/api/rehearsal')),
    enabled: inside,
  });

export const begin = (id: string, body: Schema['RehearsalForm']) =>
  answer(api.PUT('/api/rehearsals/{id}', { params: { path: { id } }, body }));

export const enter = (id: string) =>
  answer(api.POST('/api/rehearsals/{id}/enter', { params: { path: { id } } }));

export const leave = () => answer(api.POST('/api/rehearsal/leave'));

/** A plan let run twenty times; nothing of it is kept. */
export const runs = (body: Schema['FreePlan']) => answer(api.POST('/api/rehearsals/runs', { body }));

/** What somebody is to pass before they work alone. */
export const askFor = (id: string, lessons: Schema['AskedForm']['lessons']) =>
  answer(api.PUT('/api/people/{id}/lessons', { params: { path: { id } }, body: { lessons } }));
