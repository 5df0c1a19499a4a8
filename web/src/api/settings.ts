import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useWorkshop = () =>
  useQuery({ queryKey: ['workshop'], queryFn: () => answer(api.GET('/api/workshop')) });

export const usePeople = (mayAsk: boolean) =>
  useQuery({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')), enabled: mayAsk });
