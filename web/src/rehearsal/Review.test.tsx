import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import type { Schema } from '../api/client';
import { show } from '../kit/testing/server';
import { Review } from './Review';

const curve = [
  { day: 1, grams: 5000 },
  { day: 35, grams: 4300 },
];

const finding = {
  told: 'the membrane had lifted or was open',
  sinceDay: 13,
  untilDay: 35,
  lateDays: 17,
  costGrams: 720,
  costMinor: 4900,
  instead: curve,
};

const told: Schema['ReviewView'] = {
  score: 0,
  passed: false,
  moral: 'Look twice a week.',
  dangerGrams: 300,
  wasteGrams: 0,
  toughGrams: 0,
  wronglyWeighed: 2,
  paidMinor: 11000,
  keptMinor: 0,
  befell: [{ told: 'the membrane lifted off the meat', day: 11 }],
  findings: [finding, { ...finding, told: 'something on it had turned', sinceDay: 21, costGrams: 0 }],
  curve,
  truth: [{ label: 'Steaks', grams: 2600 }],
};

const piece = {
  isDone: true,
  appearance: { moulds: {}, cover: 'NONE', gas: false, film: false },
} as unknown as Schema['PieceBefore'];

afterEach(() => vi.unstubAllGlobals());

test('what was kept and had turned is said first, and what each sign cost', async () => {
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json([])));
  show(<Review piece={piece} review={told} />);
  expect(screen.getByRole('status')).toHaveTextContent('Not passed');
  screen.getByText(/^300 g|^0.300 kg/);
  screen.getByText(/^2 weights were written down with something else on the scale\./);
  screen.getByText('From day 13 on the membrane had lifted or was open, until day 35.');
  screen.getByText(
    /17 days later than a careful person comes by\. Done at once, it would have kept 0\.720 kg/,
  );
  await userEvent.click(screen.getByRole('button', { name: 'Draw it beside yours' }));
  expect(screen.getAllByRole('button', { pressed: true })).toHaveLength(1);
});

test('who gave up is not told to have been judged', () => {
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json([])));
  show(<Review piece={{ ...piece, isDone: false }} review={{ ...told, dangerGrams: 0, findings: [] }} />);
  expect(screen.getByRole('status')).toHaveTextContent('Given up');
  screen.getByText('of 100: it was not cut up');
  screen.getByText('Nothing was wrong that anybody could have seen.');
});

test('one choice is made otherwise, and what that would have come to is said', async () => {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'GET') {
      return Response.json([]);
    }
    sent.push(await request.json());
    return Response.json({ curve, steakGrams: -310, worthMinor: -2100, spoiltGrams: 120 });
  });
  show(<Review piece={piece} review={told} />);
  await userEvent.click(screen.getByRole('combobox', { name: 'Otherwise' }));
  await userEvent.click(screen.getByRole('option', { name: 'sealed again once more' }));
  await userEvent.type(screen.getByRole('textbox', { name: /Sealed again on day/ }), '14');
  await userEvent.click(screen.getByRole('button', { name: 'Play it again' }));
  await screen.findByText(/^0\.310 kg less steak, 0\.120 kg more to throw away: worth .*21\.00 less\.$/);
  expect(sent).toEqual([{ kind: 'DONE_ON', day: 14, deed: 'RESEALED' }]);
});
