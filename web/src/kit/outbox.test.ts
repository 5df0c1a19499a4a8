import { beforeEach, describe, expect, it, vi } from 'vitest';

const store = new Map<string, string>();
const storage: Record<string, unknown> = {};
// Its keys are its own, as those of the browser's are.
vi.stubGlobal(
  'localStorage',
  new Proxy(storage, {
    get: (_, name) =>
      name === 'getItem'
        ? (key: string) => store.get(key) ?? null
        : name === 'setItem'
          ? (key: string, value: string) => store.set(key, value)
          : undefined,
    ownKeys: () => [...store.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  }),
);

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

  it('keeps what a database that is away could not take, says so, and lets the others go', async () => {
    const outbox = await opened();
    ['23A', '24B'].forEach((tag) => outbox.putAside(weighing(tag)));
    const put = async ({ entryId }: { entryId: string }) => {
      if (entryId === 'entry 23A') {
        throw await problem(500, { detail: 'Something went wrong here.' });
      }
    };
    await outbox.sendOutbox(put);
    expect(store.get('elvaro outbox maren')).toContain('"trouble":"Something went wrong here."');
    expect(kept()).toEqual(['entry 23A']);
    const sent: string[] = [];
    await outbox.sendOutbox(async ({ entryId }) => {
      sent.push(entryId);
    });
    expect(sent).toEqual(['entry 23A']);
  });

  it('sends what was refused and put right as an entry of its own', async () => {
    const outbox = await opened();
    outbox.putAside(weighing('23A'));
    await outbox.sendOutbox(async () => {
      throw await problem(422, { detail: 'It cannot have happened in the future.' });
    });
    outbox.mendInOutbox('entry 23A', { grams: 4200 }, '23A: 4.200 kg');
    const sent: unknown[] = [];
    await outbox.sendOutbox(async ({ entryId, entry, name }) => {
      sent.push([entryId === 'entry 23A', entry.grams, entry.at, name]);
    });
    expect(sent).toEqual([[false, 4200, '2026-02-01T09:00:00Z', '23A: 4.200 kg']]);
  });

  it('sends nothing more once another person took the device, and says what waits for the first', async () => {
    const outbox = await opened();
    outbox.openOutbox('maren', 'Maren Oakes');
    ['23A', '24B'].forEach((tag) => outbox.putAside(weighing(tag)));
    const sent: string[] = [];
    await outbox.sendOutbox(async ({ entryId }) => {
      sent.push(entryId);
      outbox.openOutbox('idris');
    });
    expect(sent).toEqual(['entry 23A']);
    expect(outbox.waitsForOthers()).toEqual([{ name: 'Maren Oakes', entries: 2 }]);
  });

  it('knows what is worth sending again', async () => {
    const outbox = await opened();
    const client = await import('../api/client');
    const worth = (status: number) => outbox.didNotGetThrough(new client.Problem(status));
    expect([0, 401, 403, 408, 429, 500, 501, 502, 503, 504].filter((status) => !worth(status))).toEqual([]);
    expect([400, 404, 409, 413, 415, 422].filter(worth)).toEqual([]);
    expect(outbox.didNotGetThrough(new Error('a mistake of ours'))).toBe(false);
  });
});
