import { beforeEach, expect, test, vi } from 'vitest';

const store = new Map<string, string>();
vi.stubGlobal('sessionStorage', {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => store.set(key, value),
});
vi.stubGlobal('localStorage', { getItem: () => null });

/** The module as a page that was just opened has it. */
async function opened() {
  vi.resetModules();
  return import('./undo');
}

const said = () =>
  (JSON.parse(store.get('elvaro undo') ?? '[]') as { said: string }[]).map((offer) => offer.said);
const entry = (id: string) => ({ kind: 'ENTRY' as const, pieceId: 'p', entryId: id });

beforeEach(() => {
  store.clear();
  vi.useFakeTimers({ now: new Date('2026-02-01T09:00:00Z') });
});

test('several in a row can be taken back, over a reload, each for a minute', async () => {
  const undo = await opened();
  undo.offerUndo('23A: weighed', entry('a'));
  vi.advanceTimersByTime(40_000);
  (await opened()).offerUndo('24B: weighed', entry('b'));
  expect(said()).toEqual(['23A: weighed', '24B: weighed']);
  vi.advanceTimersByTime(30_000);
  const later = await opened();
  later.offerUndo('25C: weighed', entry('c'));
  expect(said()).toEqual(['24B: weighed', '25C: weighed']);
});
