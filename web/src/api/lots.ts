import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useCuts = () =>
  useQuery({ queryKey: ['cuts'], queryFn: () => answer(api.GET('/api/cuts')), staleTime: Infinity });

export const useSuppliers = () =>
  useQuery({ queryKey: ['suppliers'], queryFn: () => answer(api.GET('/api/suppliers')) });

export const useLots = () => useQuery({ queryKey: ['lots'], queryFn: () => answer(api.GET('/api/lots')) });

export const useLot = (id: string) =>
  useQuery({
    queryKey: ['lots', id],
    queryFn: () => answer(api.GET('/api/lots/{id}', { params: { path: { id } } })),
  });
