import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test } from 'vitest';
import { dropFromOutbox, openOutbox, putAside } from './outbox';
import { OutboxStrip } from './OutboxStrip';
import { serverAnswers, show } from './testing/server';

const entry = {
  pieceId: 'p',
  entryId: 'e',
  entry: { kind: 'WEIGHED', grams: 4215 } as const,
  name: '23A: 4.215 kg',
};

beforeEach(() => {
  openOutbox('maren');
  dropFromOutbox('e');
});

const online = () => window.dispatchEvent(new Event('online'));

test('an entry waits while nothing gets through, and goes once under its own id when it does', async () => {
  const sent = serverAnswers({ status: 0 }, { status: 200 });
  putAside(entry);
  show(<OutboxStrip accountId="maren" />);
  expect(screen.getByRole('status')).toHaveTextContent('1 entry waits on this device');
  online();
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(screen.getByRole('status')).toHaveTextContent('23A: 4.215 kg');
  online();
  await waitFor(() => expect(screen.queryByRole('status')).toBeNull());
  expect(sent.map(({ path }) => path)).toEqual(['/api/pieces/p/log/e', '/api/pieces/p/log/e']);
});

test('what is asked about waits for its answer and is sent with it', async () => {
  const asks = { id: 'surprise', field: 'grams', sentence: 'Is it the right piece?', needsReason: false };
  const sent = serverAnswers({ status: 422, body: { questions: [asks] } }, { status: 200 });
  putAside(entry);
  show(<OutboxStrip accountId="maren" />);
  online();
  expect(await screen.findByText('Is it the right piece?')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]?.body.answers).toEqual({ surprise: '' });
  await waitFor(() => expect(screen.queryByText('Is it the right piece?')).toBeNull());
});

test('what is refused says why and is dropped by a person only', async () => {
  serverAnswers({ status: 409, body: { detail: 'The piece was pulled already.' } });
  putAside(entry);
  show(<OutboxStrip accountId="maren" />);
  online();
  expect(await screen.findByText('The piece was pulled already.')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Drop 23A: 4.215 kg' }));
  expect(screen.queryByText('The piece was pulled already.')).toBeNull();
});

test('what is refused can be put right on the spot', async () => {
  const sent = serverAnswers(
    { status: 422, body: { detail: 'It cannot have happened in the future.' } },
    { status: 200 },
  );
  putAside(entry);
  show(<OutboxStrip accountId="maren" />);
  online();
  await userEvent.click(await screen.findByRole('button', { name: 'Correct 23A: 4.215 kg' }));
  const weight = await screen.findByLabelText('Weight');
  await userEvent.clear(weight);
  await userEvent.type(weight, '4.1{Enter}');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toMatchObject({ body: { kind: 'WEIGHED', grams: 4100 } });
  expect(sent[1]?.path).not.toEqual(sent[0]?.path);
});
