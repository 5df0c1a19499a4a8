import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { show } from '../kit/testing/server';
import { TheRecord } from './TheRecord';

test('a record that was tampered with says so, entry by entry, and whose key signed it', async () => {
  const found = {
    key: 'aaaa bbbb cccc dddd',
    state: {
      links: 12,
      head: 'f00d',
      keys: ['1111 2222 3333 4444'],
      faults: ['Link 7: an entry of the log was changed after it was written.'],
    },
  };
  vi.stubGlobal('fetch', async () => Response.json(found));
  show(<TheRecord />);
  await userEvent.click(screen.getByRole('button', { name: 'Check the record' }));
  expect(await screen.findByText(/Link 7/)).toBeInTheDocument();
  expect(screen.queryByText(/as it was written and in its place/)).toBeNull();
  expect(screen.getByText(/Signed with other keys too: 1111/)).toBeInTheDocument();
});
