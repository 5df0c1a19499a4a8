import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Schema } from '../api/client';
import { queryClient } from '../api/house';
import { show } from '../kit/testing/server';
import { AskedOfMe } from './AskedOfMe';
import { Hands } from './Hands';
import { QuestionPart } from './QuestionPart';
import { TwentyTimes } from './TwentyTimes';

let sent: { path: string; body: unknown }[];

/** Answers every question with what is given. */
function house(answered: unknown): void {
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method !== 'GET') {
      const text = await request.text();
      sent.push({
        path: new URL(request.url).pathname,
        body: text === '' ? undefined : (JSON.parse(text) as unknown),
      });
    }
    return Response.json(answered);
  });
}

beforeEach(() => house([]));

afterEach(() => {
  vi.unstubAllGlobals();
  queryClient.clear();
});

const table: Schema['QuestionBefore'] = {
  work: 'TASTING',
  pieces: [
    { id: 'a', tag: '1A' },
    { id: 'b', tag: '1B' },
  ],
  lotId: 'l',
  unanswered: 0,
  hanging: 0,
  choices: [],
};

const part = (question: Schema['QuestionBefore']) =>
  show(<QuestionPart task="Is it?" isOver={false} question={question} />);

test('a table is set of these pieces, its guests eat once it is open, and nothing is said before the reveal', async () => {
  part(table);
  expect(screen.getByRole('link', { name: 'Set a blind table' })).toHaveAttribute(
    'href',
    '/tastings/new?piece=a&piece=b',
  );
  expect(screen.getByRole('button', { name: 'Let the guests eat' })).toBeDisabled();
  expect(screen.queryByRole('heading', { name: 'What does it show?' })).toBeNull();
});

test('sheets that wait are filled in by the guests', async () => {
  part({ ...table, unanswered: 24 });
  screen.getByText(/24 sheets wait\./);
  await userEvent.click(screen.getByRole('button', { name: 'Let the guests eat' }));
  expect(sent).toEqual([{ path: '/api/rehearsal/tasters', body: undefined }]);
});

test('what a trial shows is said once it is cut', async () => {
  part({
    ...table,
    work: 'TRIAL',
    askedId: 't',
    choices: [
      { claim: 'FIRST', label: '“Tray” has less shrink than “Open”' },
      { claim: 'NOT_SHOWN', label: 'it does not tell' },
    ],
  });
  expect(screen.getByRole('link', { name: 'The trial' })).toHaveAttribute('href', '/trials/t');
  await userEvent.click(screen.getByRole('button', { name: 'It does not tell' }));
  expect(sent).toEqual([{ path: '/api/rehearsal/claim', body: { claim: 'NOT_SHOWN' } }]);
});

test('an answer is told with what as many would show another time', () => {
  part({
    ...table,
    review: {
      score: 45,
      passed: false,
      moral: 'Ask a dozen or more.',
      told: ['You said: it does not tell.'],
      againOf: 'The same two, before other tables',
      again: [
        { label: '3 tasters', share: 0, own: true },
        { label: '24 tasters', share: 0.74, own: false },
      ],
    },
  });
  expect(screen.getByRole('status')).toHaveTextContent('Not passed');
  screen.getByText('3 tasters, yours');
  screen.getByText(/^74\.0 %$/);
});

const hand: Schema['HandLine'] = {
  id: 'idris',
  name: 'Idris Vale',
  all: 14,
  passed: ['ONE_STEAK'],
  asked: ['ONE_STEAK', 'THE_BAG'],
};

const lesson = (
  which: Schema['LessonLine']['lesson'],
  title: string,
  passed: boolean,
): Schema['LessonLine'] => ({
  lesson: which,
  title,
  task: '',
  passed,
  asked: true,
});

const lessons = [
  lesson('ONE_STEAK', 'One steak is not a loin', true),
  lesson('THE_BAG', 'The bag that let go', false),
];

test('an owner sees what is still open and asks for other lessons', async () => {
  show(<Hands hands={[hand]} lessons={lessons} />);
  screen.getByText('1 of 14, 1 asked for still open');
  await userEvent.click(screen.getByRole('button', { name: 'Ask Idris Vale for lessons' }));
  await userEvent.click(screen.getByRole('checkbox', { name: 'One steak is not a loin (passed)' }));
  await userEvent.click(screen.getByRole('button', { name: 'Ask for these' }));
  expect(sent).toEqual([{ path: '/api/people/idris/lessons', body: { lessons: ['THE_BAG'] } }]);
});

test('a hand is told in the Room what is asked, until it is passed', async () => {
  house({ lessons, running: [], hands: [], purse: '' });
  show(<AskedOfMe />);
  await screen.findByRole('link', { name: '“The bag that let go”' });
});

test('a plan runs twenty times, and what is shown is of the plan that stands there', async () => {
  house({
    told: ['Looked after, it gives 3042 g.', 'Left alone it gives less.'],
    mostGrams: 3500,
    runs: [{ lookedAfter: 3200, leftAlone: 1800 }],
    befell: [{ told: 'the fan stood still', times: 1 }],
  });
  const plan: Schema['FreePlan'] = {
    cutCode: 'strip',
    grams: 5000,
    boneIn: false,
    method: 'OPEN_AIR',
    coating: 'NONE',
    place: 'CABINET',
    days: 35,
  };
  const shown = show(<TwentyTimes plan={plan} />);
  await userEvent.click(screen.getByRole('button', { name: 'Let it run twenty times' }));
  await screen.findByText('Left alone it gives less.');
  expect(screen.getByText(/What went wrong/)).toHaveTextContent('the fan stood still (1 of 1)');
  shown.rerender(<TwentyTimes plan={{ ...plan, days: 60 }} />);
  expect(screen.queryByText('Left alone it gives less.')).toBeNull();
});
