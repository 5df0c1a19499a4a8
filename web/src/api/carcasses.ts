import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useAnimals = () =>
  useQuery({ queryKey: ['animals'], queryFn: () => answer(api.GET('/api/animals')), staleTime: Infinity });

export const useCarcasses = () =>
  useQuery({ queryKey: ['carcasses'], queryFn: () => answer(api.GET('/api/carcasses')) });

export const useCarcass = (id: string) =>
  useQuery({
    queryKey: ['carcasses', id],
    queryFn: () => answer(api.GET('/api/carcasses/{id}', { params: { path: { id } } })),
    retry: false,
  });
