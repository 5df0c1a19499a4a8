import { QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { queryClient } from '../../api/house';

export interface Sent {
  method: string;
  path: string;
  body: Record<string, unknown>;
}

/** Stands in for the server: answers each request in turn, the last answer again and again. */
export function serverAnswers(...answers: { status: number; body?: unknown }[]): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'GET') {
      return new Response('{}', { headers: { 'Content-Type': 'application/json' } });
    }
    const answer = answers[Math.min(sent.length, answers.length - 1)];
    sent.push({
      method: request.method,
      path: new URL(request.url).pathname,
      body: JSON.parse(await request.text()) as Record<string, unknown>,
    });
    if (!answer || answer.status === 0) {
      throw new TypeError('no network');
    }
    return new Response(JSON.stringify(answer.body ?? {}), {
      status: answer.status,
      headers: { 'Content-Type': 'application/problem+json' },
    });
  });
  return sent;
}

/** A part of the screen with what all parts stand in; shown again with `rerender`. */
export const show = (part: ReactNode) =>
  render(part, {
    wrapper: ({ children }) => (
      <QueryClientProvider client={queryClient}>
        <MemoryRouter>{children}</MemoryRouter>
      </QueryClientProvider>
    ),
  });
