import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schema } from '../api/client';
import { queryClient } from '../api/house';
import { NoPlace } from '../carcass/NoPlace';
import { show } from '../kit/testing/server';
import { Chambers } from './Chambers';

type Chamber = Schema['ChamberForm'];

const usual = (kind: Chamber['kind'], limitGrams: number, watts: number): Chamber => ({
  id: `usual ${kind}`,
  version: 0,
  name: kind.toLowerCase(),
  kind,
  rails: 1,
  placesPerRail: 4,
  limitGrams,
  setCelsius: 3,
  setHumidityPercent: 60,
  setMetresPerSecond: 0.1,
  purchaseMinor: 0,
  lifeYears: 10,
  powerWatts: watts,
  forMeatAlone: kind !== 'REFRIGERATOR',
});

let sent: { path: string; body: Chamber }[];

/** Who is signed in. */
const as = (role: 'OWNER' | 'HAND') => queryClient.setQueryData(['session'], { me: { id: 'me', role } });

beforeEach(() => {
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname } = new URL(request.url);
    if (request.method === 'PUT') {
      const body = (await request.json()) as Chamber;
      sent.push({ path: pathname, body });
      return Response.json(body);
    }
    return Response.json(
      {
        '/api/chambers': [],
        '/api/people': [],
        '/api/chambers/usual': [
          usual('REFRIGERATOR', 20_000, 40),
          usual('WALK_IN', 180_000, 600),
          usual('SHED', 80_000, 0),
          usual('ICE_CHEST', 40_000, 0),
        ],
      }[pathname] ?? {},
    );
  });
});

afterEach(() => {
  vi.unstubAllGlobals();
  queryClient.clear();
});

test('a new chamber is as its kind usually is, and what was typed stays typed', async () => {
  show(<Chambers mayChange />);
  await userEvent.click(await screen.findByRole('button', { name: 'Add a chamber' }));
  await userEvent.type(screen.getByLabelText(/Name of the chamber/), 'Back room');
  const watts = screen.getByLabelText(/Draws on average/);
  await userEvent.clear(watts);
  await userEvent.type(watts, '450');
  await userEvent.click(screen.getByLabelText(/^Kind/));
  await userEvent.click(await screen.findByRole('option', { name: 'Walk-in room' }));
  await userEvent.click(screen.getByRole('button', { name: 'Save chamber' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({
    name: 'Back room',
    kind: 'WALK_IN',
    limitGrams: 180_000,
    powerWatts: 450,
    forMeatAlone: true,
  });
});

test('a household refrigerator runs anyway: its energy is not the meat’s', async () => {
  show(<Chambers mayChange />);
  await userEvent.click(await screen.findByRole('button', { name: 'Add a chamber' }));
  expect(screen.getByLabelText(/It runs for the meat alone/)).not.toBeChecked();
});

test('where an animal comes in and there is no cold place, one is made by a touch', async () => {
  as('OWNER');
  const onMade = vi.fn();
  show(<NoPlace iced={false} onMade={onMade} />);
  await userEvent.click(await screen.findByRole('button', { name: 'Add: shed' }));
  await waitFor(() => expect(onMade).toHaveBeenCalledWith('usual SHED'));
  expect(sent).toEqual([{ path: '/api/chambers/usual%20SHED', body: usual('SHED', 80_000, 0) }]);
});

test('what lies on ice is offered a chest, and a hand is told who adds one', async () => {
  as('OWNER');
  const { unmount } = show(<NoPlace iced onMade={vi.fn()} />);
  expect(await screen.findByRole('button', { name: 'Add: ice chest' })).toBeEnabled();
  expect(screen.getAllByRole('button')).toHaveLength(1);
  unmount();
  as('HAND');
  show(<NoPlace iced onMade={vi.fn()} />);
  expect(screen.getByText(/An owner adds it under Settings\./)).toBeVisible();
  expect(screen.queryByRole('button')).toBeNull();
});
