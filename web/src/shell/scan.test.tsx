import { act, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import { beforeEach, expect, test, vi } from 'vitest';
import { Scans } from './Scans';
import { Shortcuts } from './Shortcuts';
import { readScan } from '../kit/scan';

const ID = '5193227a-99d6-3bca-b746-1e0f7ba0aa19';
const CODE = `http://192.168.1.20:8306/pieces/${ID}`;

let now = 0;

/** Keys so many milliseconds apart. */
function keys(text: string, apart: number, target: Element = document.body) {
  for (const key of [...text, 'Enter']) {
    now += apart;
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
    Object.defineProperty(event, 'timeStamp', { value: now });
    fireEvent(target, event);
    if (target instanceof HTMLInputElement && key.length === 1 && !event.defaultPrevented) {
      fireEvent.change(target, { target: { value: target.value + key } });
    }
  }
  act(() => vi.advanceTimersByTime(500));
}

function Where() {
  const { pathname, search } = useLocation();
  return <output>{pathname + search}</output>;
}

const house = (at: string) =>
  render(
    <MemoryRouter initialEntries={[at]}>
      <Scans />
      <Shortcuts />
      <Where />
      <input aria-label="Words" defaultValue="soft" />
    </MemoryRouter>,
  );

beforeEach(() => {
  vi.useFakeTimers();
  now += 10_000;
});

test('a code is known by what it stands for, whatever a foreign keyboard makes of its signs', () => {
  expect(readScan(CODE)).toEqual({ what: 'pieces', id: ID });
  expect(readScan(`httpÖ--hostÖ8306-packs-${ID.replace(/-/g, 'ß')}`)).toEqual({ what: 'packs', id: ID });
  expect(readScan('4006381333931')).toBeNull();
});

test('a scan opens the piece with nothing focused, and none of its letters is a shortcut', () => {
  house('/stock');
  keys(CODE, 8);
  expect(screen.getByRole('status')).toHaveTextContent(`/pieces/${ID}`);
});

test('on the weighing page a scan picks the piece', () => {
  house('/weigh');
  keys(CODE, 8);
  expect(screen.getByRole('status')).toHaveTextContent(`/weigh?piece=${ID}`);
});

test('what a scanner typed into a field is taken out again', () => {
  house('/stock');
  const field = screen.getByLabelText<HTMLInputElement>('Words');
  keys(CODE, 8, field);
  expect(field.value).toBe('soft');
  expect(screen.getByRole('status')).toHaveTextContent(`/pieces/${ID}`);
});

test('a person who types the same is no scanner, and a single key still leads on', () => {
  house('/stock');
  keys(`pieces/${ID}`, 120, screen.getByLabelText('Words'));
  expect(screen.getByRole('status')).toHaveTextContent('/stock');
  now += 1000;
  fireEvent.keyDown(document.body, { key: 'w' });
  act(() => vi.advanceTimersByTime(500));
  expect(screen.getByRole('status')).toHaveTextContent('/weigh');
});
