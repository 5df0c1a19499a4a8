import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schema } from '../api/client';
import { queryClient } from '../api/house';
import { show } from '../kit/testing/server';
import { useScale } from '../weigh/scale';
import { RehearsalStrip } from './Strip';

const piece = { id: 'p', tag: '1A', isDown: false, isDone: false, heaps: [] };

const hanging = {
  id: 'r',
  title: 'The bag that let go',
  task: '',
  day: 14,
  plannedDays: 35,
  isOver: false,
  piece,
} as unknown as Schema['RehearsalView'];

let sent: { path: string; body: unknown }[];

function house(view: Schema['RehearsalView'], days: object = {}): void {
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname;
    if (request.method === 'GET') {
      return Response.json(view);
    }
    const text = await request.text();
    sent.push({ path, body: text === '' ? undefined : (JSON.parse(text) as unknown) });
    return path.endsWith('/days') ? Response.json(days) : new Response(null, { status: 204 });
  });
}

/** A part of the screen that waits for a figure. */
function Weighing() {
  useScale('scale');
  return null;
}

beforeEach(() => {
  vi.stubGlobal(
    'EventSource',
    class {
      close = () => undefined;
    },
  );
});

afterEach(() => {
  vi.unstubAllGlobals();
  queryClient.clear();
});

const laid = () => sent.filter(({ path }) => path === '/api/rehearsal/scale').map(({ body }) => body);

test('says on every view that it is none of the records, and lets days go by from the day it shows', async () => {
  house(hanging, { called: 'The thermometer calls.' });
  show(<RehearsalStrip />);
  await screen.findByText('Rehearsal: The bag that let go. Day 14 of 35');
  screen.getByText('No real meat. Nothing here is in your records.');
  await userEvent.click(screen.getByRole('button', { name: '7 days on' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('The thermometer calls.');
  expect(sent).toContainEqual({ path: '/api/rehearsal/days', body: { days: 7, shownDay: 14 } });
});

test('what hangs lies on the scale only while somebody looks at one', async () => {
  house(hanging);
  const shown = show(<RehearsalStrip />);
  await screen.findByText(/Day 14/);
  expect(laid()).toEqual([]);
  shown.rerender(
    <>
      <RehearsalStrip />
      <Weighing />
    </>,
  );
  await waitFor(() => expect(laid()).toContainEqual({}));
  act(() => shown.rerender(<RehearsalStrip />));
  await waitFor(() => expect(sent.map(({ path }) => path)).toContain('/api/rehearsal/scale/clear'));
});

test('at the block one chooses what is laid on, and no more days go by', async () => {
  house({
    ...hanging,
    piece: {
      ...piece,
      isDown: true,
      heaps: [
        { heap: 'STEAKS', label: 'Steaks' },
        { heap: 'SPOILT', label: 'Dark, soft or mouldy parts' },
      ],
    } as unknown as Schema['PieceBefore'],
  });
  show(
    <>
      <RehearsalStrip />
      <Weighing />
    </>,
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Weigh: Dark, soft or mouldy parts' }));
  await waitFor(() => expect(laid()).toContainEqual({ heap: 'SPOILT' }));
  expect(laid()).not.toContainEqual({});
  expect(screen.queryByRole('button', { name: 'Next day' })).toBeNull();
});

test('the scale is emptied to see what was left on it, and the piece is laid on again', async () => {
  house(hanging);
  show(
    <>
      <RehearsalStrip />
      <Weighing />
    </>,
  );
  await waitFor(() => expect(laid()).toContainEqual({}));
  sent = [];
  await userEvent.click(screen.getByRole('button', { name: 'Empty the scale' }));
  await waitFor(() => expect(sent.filter(({ path }) => path.endsWith('/clear')).length).toBeGreaterThan(1));
  expect(laid()).toEqual([]);
  await userEvent.click(screen.getByRole('button', { name: 'The scale is empty' }));
  await waitFor(() => expect(laid()).toContainEqual({}));
});
