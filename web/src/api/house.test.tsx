import { renderHook } from '@testing-library/react';
import { QueryClientProvider } from '@tanstack/react-query';
import { expect, test, vi } from 'vitest';
import { queryClient, useToday } from './house';

test('the day is the shop’s, not the one the browser is in', () => {
  vi.useFakeTimers({ now: new Date('2031-03-14T23:30:00Z'), toFake: ['Date'] });
  queryClient.setQueryData(['session'], { me: { today: '2031-03-15' } });
  const { result } = renderHook(useToday, {
    wrapper: ({ children }) => <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>,
  });
  expect(result.current).toBe('2031-03-15');
});
