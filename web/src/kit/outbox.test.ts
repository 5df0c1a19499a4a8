import { beforeEach, describe, expect, it, vi } from 'vitest';

const store = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => store.set(key, value),
});

/** The module as a page that was just opened has it. */
async function opened(account = 'maren') {
  vi.resetModules();
  const outbox = await import('./outbox');
  outbox.openOutbox(account);
  return outbox;
}

const weighing = (tag: string, grams = 4215) => ({
  pieceId: `piece ${tag}`,
  entryId: `entry ${tag}`,
  entry: { kind: 'WEIGHED' as const, grams, at: '2026-02-01T09:00:00Z' },
  name: `${tag}: 4.215 kg`,
});

const kept = (account = 'maren') =>
  (JSON.parse(store.get(`elvaro outbox ${account}`) ?? '[]') as { entryId: string }[]).map(
    ({ entryId }) => entryId,
  );

// The class as the freshly opened module knows it.
async function problem(status: number, body = {}) {
  const client = await import('../api/client');
  return new client.Problem(status, body);
}

beforeEach(() => store.clear());

describe('the outbox', () => {
  it('keeps what is put aside over a reload, each person’s apart', async () => {
    const first = await opened();
    first.putAside(weighing('23A'));
    const again = await opened();
    expect(again.waitsInOutbox('entry 23A')).toBe(true);
    again.openOutbox('idris');
    expect(again.waitsInOutbox('entry 23A')).toBe(false);
    expect(kept()).toEqual(['entry 23A']);
  });

  it('keeps what another tab put aside', async () => {
    const here = await opened();
    const there = await opened();
    here.putAside(weighing('23A'));
    there.putAside(weighing('24B'));
    expect(kept()).toEqual(['entry 23A', 'entry 24B']);
    there.dropFromOutbox('entry 24B');
    expect(kept()).toEqual(['entry 23A']);
  });

  it('sends in the order of entering, each under its own id, and forgets what was stored', async () => {
    const outbox = await opened();
    ['23A', '24B', '25A'].forEach((tag) => outbox.putAside(weighing(tag)));
    const sent: string[] = [];
    expect(
      await outbox.sendOutbox(async ({ entryId, entry }) => {
        sent.push(`${entryId} ${entry.at}`);
      }),
    ).toBe(true);
    expect(sent).toEqual(['23A', '24B', '25A'].map((tag) => `entry ${tag} 2026-02-01T09:00:00Z`));
    expect(kept()).toEqual([]);
  });

  it('stops where nothing gets through and keeps the rest', async () => {
    const outbox = await opened();
    ['23A', '24B', '25A'].forEach((tag) => outbox.putAside(weighing(tag)));
    let tries = 0;
    await outbox.sendOutbox(async () => {
      tries += 1;
      if (tries === 2) {
        throw await problem(0);
      }
    });
    expect(tries).toBe(2);
    expect(kept()).toEqual(['entry 24B', 'entry 25A']);
  });

  it('waits for whoever was signed out', async () => {
    const outbox = await opened();
    outbox.putAside(weighing('23A'));
    await outbox.sendOutbox(async () => {
      throw await problem(401);
    });
    expect(kept()).toEqual(['entry 23A']);
  });

  it('holds back what is asked about until it is answered, and lets the others go', async () => {
    const outbox = await opened();
    ['23A', '24B'].forEach((tag) => outbox.putAside(weighing(tag)));
    const question = { id: 'surprising', field: 'grams', sentence: 'Right piece?', needsReason: false };
    const sent: unknown[] = [];
    const put = async ({ entryId, entry }: { entryId: string; entry: { answers?: object } }) => {
      if (entryId === 'entry 23A' && !entry.answers) {
        throw await problem(422, { questions: [question] });
      }
      sent.push([entryId, entry.answers]);
    };
    await outbox.sendOutbox(put);
    expect(kept()).toEqual(['entry 23A']);
    await outbox.sendOutbox(put);
    expect(sent).toHaveLength(1);
    outbox.answerInOutbox('entry 23A', { surprising: '' });
    await outbox.sendOutbox(put);
    expect(sent[1]).toEqual(['entry 23A', { surprising: '' }]);
    expect(kept()).toEqual([]);
  });

  it('holds back what was refused until it is dropped', async () => {
    const outbox = await opened();
    outbox.putAside(weighing('23A'));
    await outbox.sendOutbox(async () => {
      throw await problem(409, { detail: 'The piece was pulled already.' });
    });
    let tries = 0;
    await outbox.sendOutbox(async () => {
      tries += 1;
    });
    expect(tries).toBe(0);
    outbox.dropFromOutbox('entry 23A');
    expect(kept()).toEqual([]);
  });

  it('knows what is worth sending again', async () => {
    const outbox = await opened();
    const client = await import('../api/client');
    const through = [0, 502, 503, 504].map((status) => outbox.didNotGetThrough(new client.Problem(status)));
    expect(through).toEqual([true, true, true, true]);
    const not = [401, 409, 422, 500].map((status) => outbox.didNotGetThrough(new client.Problem(status)));
    expect(not).toEqual([false, false, false, false]);
    expect(outbox.didNotGetThrough(new Error('a mistake of ours'))).toBe(false);
  });
});
