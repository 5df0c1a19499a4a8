import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { useKeptForm } from '../kit/form/keptForm';
import { show } from '../kit/testing/server';
import { Boxes } from './Boxes';
import { noLot, type LotText } from './draft';

function Receiving({ note = '' }) {
  const form = useKeptForm<LotText>(null, () => ({ ...noLot('2026-11-30'), note }));
  return (
    <>
      <Boxes form={form} />
      <output aria-label="What stands in the fields">{JSON.stringify(form.values)}</output>
    </>
  );
}

const values = () => JSON.parse(screen.getByLabelText('What stands in the fields').innerHTML) as LotText;

/** A slow house: each answer takes a while, and sums 1 kg a code. */
function slowHouse(weighs = true) {
  vi.stubGlobal('fetch', async (request: Request) => {
    const { codes } = (await request.json()) as { codes: string[] };
    await new Promise((resolve) => setTimeout(resolve, 500));
    return Response.json({
      boxes: codes.map(() => ({ grams: 1000 })),
      grams: weighs || codes.length < 2 ? 1000 * codes.length : undefined,
      lots: 'L7',
      note: `By the labels of ${codes.length} boxes.`,
    });
  });
}

afterEach(() => vi.unstubAllGlobals());

async function scan(...codes: string[]) {
  await userEvent.click(screen.getByRole('button', { name: 'It came in boxes with labels' }));
  for (const code of codes) {
    await userEvent.type(screen.getByLabelText('Label of a box'), `${code}{Enter}`);
  }
}

test('boxes scanned faster than the house answers are all kept', async () => {
  slowHouse();
  show(<Receiving />);
  await scan('(21)1', '(21)2', '(21)3');
  await waitFor(() => expect(values().weight).toBe('3.000'), { timeout: 5000 });
  expect(values().codes).toEqual(['(21)1', '(21)2', '(21)3']);
});

test('a sum that lacks a box is none, and words of a person stay', async () => {
  slowHouse(false);
  show(<Receiving note="smells clean" />);
  await scan('(21)1');
  await waitFor(() => expect(values().weight).toBe('1.000'), { timeout: 5000 });
  await userEvent.type(screen.getByLabelText('Label of a box'), '(21)2{Enter}');
  await waitFor(() => expect(values().codes).toHaveLength(2), { timeout: 5000 });
  expect(values().weight).toBe('');
  expect(values().note).toBe('smells clean');
});
