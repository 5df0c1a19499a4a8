import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { show } from '../kit/testing/server';
import { queryClient } from '../api/house';
import { KeyCards } from './KeyCards';

const appearance = {
  dark: 0.9,
  brown: 0.6,
  grey: 0,
  green: 0,
  gloss: 0.05,
  leather: 0.8,
  slime: 0,
  moulds: { GREEN: 0.2 },
  pockets: 0,
  film: false,
  lifted: 0,
  sealOpen: false,
  imprint: 0,
  syrup: 0,
  fold: false,
  gas: false,
  bloodshot: false,
  cover: 'NONE',
};

const words: Record<'GREEN' | 'BLACK', string> = { GREEN: 'green', BLACK: 'black' };

function keyAnswers(): string[] {
  const asked: string[] = [];
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(new URL(request.url).pathname);
    return Promise.resolve(
      Response.json([
        { asked: 'MOULD', choice: 'GREEN', told: 'Rings with a pale rim.', appearance },
        { asked: 'COLOUR', choice: 'GREEN', told: 'A sheen.', appearance },
        { asked: 'MOULD', choice: 'BLACK', told: 'Small specks like pepper.', appearance },
      ]),
    );
  });
  return asked;
}

afterEach(() => {
  vi.unstubAllGlobals();
  queryClient.clear();
});

test('each answer is drawn and told, and is chosen by its picture', async () => {
  const asked = keyAnswers();
  const picked = vi.fn();
  show(<KeyCards asked="MOULD" words={words} chosen={['BLACK']} onPick={picked} />);
  expect(asked).toHaveLength(0); // nobody asked yet
  await userEvent.click(screen.getByRole('button', { name: 'Which of these is it?' }));
  const green = await screen.findByRole('button', { name: /^green\s*Rings with a pale rim\./ });
  expect(screen.queryByText('A sheen.')).toBeNull(); // an answer to another question
  expect(green).toHaveAttribute('aria-pressed', 'false');
  expect(screen.getByRole('button', { name: /^black/ })).toHaveAttribute('aria-pressed', 'true');
  expect(green.querySelector('svg')).not.toBeNull();
  await userEvent.click(green);
  expect(picked).toHaveBeenCalledWith('GREEN');
});

test('pictures side by side are each cut to their own outline', async () => {
  keyAnswers();
  show(<KeyCards asked="MOULD" words={words} chosen={[]} onPick={vi.fn()} />);
  await userEvent.click(screen.getByRole('button', { name: 'Which of these is it?' }));
  await screen.findByText('Small specks like pepper.');
  const outlines = [...document.querySelectorAll('clipPath')].map(({ id }) => id);
  expect(outlines).toHaveLength(2);
  expect(new Set(outlines).size).toBe(2);
});
