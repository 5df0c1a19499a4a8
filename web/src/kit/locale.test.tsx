import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { DateField } from './DateField';
import { clock, date, moment, shortDate, writeAs } from './locale';
import { show } from './testing/server';
import { percent } from './units';

afterEach(() => writeAs(undefined));

const AT = '2025-12-06T18:10:00';

test.each([
  ['en-GB', '6 Dec 2025', 'Sat, 6 Dec', '6 Dec 2025, 18:10', '18:10', '14.4 %'],
  ['en-US', 'Dec 6, 2025', 'Sat, Dec 6', 'Dec 6, 2025, 6:10 PM', '6:10 PM', '14.4 %'],
  ['de-DE', '6 Dec 2025', 'Sat, 6 Dec', '6 Dec 2025, 18:10', '18:10', '14,4 %'],
])('a reader of %s has one form for every day', (locale, day, short, at, hour, share) => {
  writeAs(locale);
  expect([date(AT), shortDate(AT), moment(AT), clock(new Date(AT)), percent(0.144)]).toEqual([
    day,
    short,
    at,
    hour,
    share,
  ]);
});

test('a moment of this year leaves the year out', () => {
  writeAs('en-GB');
  expect(moment(`${new Date().getFullYear()}-03-09T07:05:00`)).toBe('9 Mar, 07:05');
});

function Asked({ heard, clock: asked }: { heard: (day: string) => void; clock?: boolean }) {
  const [day, setDay] = useState('2026-03-09');
  const hear = (next: string) => {
    setDay(next);
    heard(next);
  };
  return <DateField label="Hung on" value={day} onChange={hear} clock={asked} />;
}

test('a day is typed in the order it is shown in, and half a day is none', async () => {
  writeAs('en-GB');
  const heard: string[] = [];
  show(<Asked heard={(day) => heard.push(day)} />);
  const first = await screen.findByRole('spinbutton', { name: 'Day' }, { timeout: 5000 });
  await userEvent.click(first);
  await userEvent.keyboard('28112025');
  expect(heard.at(-1)).toBe('2025-11-28');
  await userEvent.click(screen.getByRole('spinbutton', { name: 'Day' }));
  await userEvent.keyboard('{Backspace}');
  expect(heard.at(-1)).toBe('');
});
