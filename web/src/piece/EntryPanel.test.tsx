import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import type { PieceView } from '../api/client';
import { serverAnswers, show } from '../kit/testing/server';
import { openOutbox } from '../kit/outbox';
import { OutboxStrip } from '../kit/OutboxStrip';
import { EntryPanel } from './EntryPanel';

const piece = {
  card: {
    id: 'p',
    tag: '23A',
    cutName: 'Strip loin',
    shape: 'EYE_WITH_CAP',
    chamberName: 'North Room',
    dayNumber: 14,
    targetDays: 28,
    nowGrams: 4300,
    coatGrams: 0,
    shrinkFraction: 0.06,
    section: { now: 0.94, crust: 0.1, fat: 0.02, bone: 0, steak: 0.8 },
  },
} as unknown as PieceView;

const weigh = () => {
  const saved = vi.fn();
  show(<EntryPanel piece={piece} kind="WEIGHED" onSaved={saved} />);
  return saved;
};

test('only a weight is saved, to the gram, whatever unit it is typed in', async () => {
  const sent = serverAnswers({ status: 200 });
  const saved = weigh();
  const field = screen.getByLabelText('Weight on the scale');
  const save = screen.getByRole('button', { name: 'Save weight' });
  expect(save).toBeDisabled();
  await userEvent.type(field, 'heavy');
  expect(save).toBeDisabled();
  await userEvent.clear(field);
  await userEvent.type(field, '9 lb 4.7 oz{Enter}');
  await waitFor(() => expect(saved).toHaveBeenCalledOnce());
  expect(sent[0]?.body).toMatchObject({ kind: 'WEIGHED', grams: 4216 });
});

test('a doubt is put before it is kept, and the answer goes with the same entry', async () => {
  const asks = {
    id: 'surprise',
    field: 'grams',
    sentence: '⟦mass 4100⟧ to ⟦mass 4250⟧ was expected.',
    needsReason: false,
  };
  const sent = serverAnswers({ status: 422, body: { questions: [asks] } }, { status: 200 });
  const saved = weigh();
  await userEvent.type(screen.getByLabelText('Weight on the scale'), '3.9{Enter}');
  expect(await screen.findByText('4.100 kg to 4.250 kg was expected.')).toBeVisible();
  expect(saved).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole('button', { name: 'Keep 3.900 kg' }));
  await waitFor(() => expect(saved).toHaveBeenCalledOnce());
  expect(sent.map(({ path }) => path)).toEqual([sent[0]?.path, sent[0]?.path]);
  expect(sent[1]?.body.answers).toEqual({ surprise: '' });
});

test('what Elvaro refuses stands in the field as it was typed', async () => {
  serverAnswers({ status: 422, body: { detail: 'Only 4.000 kg is left of it.' } });
  const saved = weigh();
  await userEvent.type(screen.getByLabelText('Weight on the scale'), '4.2{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('Only 4.000 kg');
  expect(screen.getByLabelText('Weight on the scale')).toHaveValue('4.2');
  expect(saved).not.toHaveBeenCalled();
});

test('a weight that meets a fault of Elvaro is kept on this device, and sent with the clock it was read off', async () => {
  openOutbox('maren');
  const sent = serverAnswers(
    { status: 500, body: { detail: 'Something went wrong here.' } },
    { status: 200 },
  );
  const saved = weigh();
  await userEvent.type(screen.getByLabelText('Weight on the scale'), '4.2{Enter}');
  await waitFor(() => expect(saved).toHaveBeenCalledOnce());
  show(<OutboxStrip accountId="maren" />);
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(screen.queryByText(/waits on this device/)).toBeNull());
  expect(sent[1]).toMatchObject({ path: sent[0]?.path, body: { grams: 4200 } });
  expect(Date.parse(String(sent[1]?.body.sentAt))).toBeGreaterThanOrEqual(
    Date.parse(String(sent[1]?.body.at)),
  );
});

test('a scale that settles takes nobody out of a field', async () => {
  const shown = { grams: 4310, steady: true, empty: false, overloaded: false, tareGrams: 0, laying: 7 };
  const page = (steady: boolean) => (
    <>
      <input aria-label="Tag of the piece" />
      <EntryPanel
        piece={piece}
        kind="WEIGHED"
        onSaved={vi.fn()}
        scale={{ shown: { ...shown, steady }, keptLaying: 0 }}
      />
    </>
  );
  const { rerender } = show(page(false));
  await userEvent.type(screen.getByLabelText('Tag of the piece'), '24B');
  rerender(page(true));
  expect(screen.getByLabelText('Tag of the piece')).toHaveFocus();
  await userEvent.tab({ shift: true });
  rerender(page(false));
  rerender(page(true));
  expect(screen.getByRole('button', { name: 'Save weight' })).toHaveFocus();
});

test('what was typed stays when the scale speaks', async () => {
  const shown = { grams: 4310, steady: true, empty: false, overloaded: false, tareGrams: 0, laying: 7 };
  const panel = (scale?: { shown: typeof shown; keptLaying: number }) => (
    <EntryPanel piece={piece} kind="WEIGHED" onSaved={vi.fn()} scale={scale} />
  );
  const { rerender } = show(panel());
  await userEvent.type(screen.getByLabelText('Weight on the scale'), '4.2');
  rerender(panel({ shown, keptLaying: 0 }));
  expect(screen.getByLabelText('Weight on the scale')).toHaveValue('4.2');
  await userEvent.clear(screen.getByLabelText('Weight on the scale'));
  expect(screen.getByLabelText('Figure of the scale')).toHaveTextContent('4.310 kg');
});
