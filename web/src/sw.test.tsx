import { beforeEach, expect, test, vi } from 'vitest';

vi.mock('workbox-precaching', () => ({
  cleanupOutdatedCaches: vi.fn(),
  createHandlerBoundToURL: vi.fn(),
  precacheAndRoute: vi.fn(),
}));
vi.mock('workbox-routing', () => ({ NavigationRoute: vi.fn(), registerRoute: vi.fn() }));

const showNotification = vi.fn(async () => undefined);
const told = vi.fn(async () => new Response());
const clients = { matchAll: vi.fn(async () => [] as unknown[]), openWindow: vi.fn(async () => null) };

/** A page of the browser stands for the worker: it listens alike. */
beforeEach(async () => {
  vi.clearAllMocks();
  vi.stubGlobal('registration', { showNotification });
  vi.stubGlobal('clients', clients);
  vi.stubGlobal('fetch', told);
  await import('./sw');
});

async function happens(type: string, parts: object): Promise<void> {
  const done: Promise<unknown>[] = [];
  const event = Object.assign(new Event(type), parts, {
    waitUntil: (work: Promise<unknown>) => done.push(work),
  });
  window.dispatchEvent(event);
  await Promise.all(done);
}

const alarm = {
  key: 'alarm-1.idris',
  title: 'North Room: 9.2 °C',
  body: 'Since 01:12.',
  path: '/alarms/1',
  loud: true,
  at: 1_795_912_503_000,
};

test('a message is shown under its key, loud ones until they are touched, and the house hears of it', async () => {
  await happens('push', { data: { json: () => alarm } });
  expect(showNotification).toHaveBeenCalledWith(
    alarm.title,
    expect.objectContaining({
      tag: alarm.key,
      body: alarm.body,
      requireInteraction: true,
      timestamp: alarm.at,
    }),
  );
  expect(told).toHaveBeenCalledWith(
    '/api/me/notices/shown',
    expect.objectContaining({ method: 'POST', body: JSON.stringify({ key: alarm.key }) }),
  );
});

test('a message is shown though the house cannot be told', async () => {
  told.mockRejectedValueOnce(new TypeError('no network'));
  await happens('push', { data: { json: () => ({ ...alarm, loud: false }) } });
  expect(showNotification).toHaveBeenCalledOnce();
});

test('touched it leads to what it is about, in the page that is open or in a new one', async () => {
  const notification = { close: vi.fn(), data: { path: '/alarms/1' } };
  await happens('notificationclick', { notification });
  expect(clients.openWindow).toHaveBeenCalledWith('/alarms/1');
  const page = { postMessage: vi.fn(), focus: vi.fn(async () => undefined) };
  clients.matchAll.mockResolvedValueOnce([page]);
  await happens('notificationclick', { notification });
  expect(page.postMessage).toHaveBeenCalledWith({ go: '/alarms/1' });
  expect(clients.openWindow).toHaveBeenCalledOnce();
});
