/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;

/** What the server's other answers are: none of the app's pages. */
const ANSWERS = /^\/(api|taste|shared|calendar|devices|actuator|stop|trust)(\/|$)/;

cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [ANSWERS] }));

// A new version waits until whoever is at it says so.
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') {
    void self.skipWaiting();
  }
});

/** A message of the house, as the server writes it. */
interface Message {
  key: string;
  title: string;
  body: string;
  path: string;
  loud: boolean;
  at: number;
}

self.addEventListener('push', (event) => {
  const message = event.data?.json() as Message | undefined;
  if (message) {
    event.waitUntil(show(message));
  }
});

/** The same message twice is there once; the house is told that it was shown. */
async function show({ key, title, body, path, loud, at }: Message): Promise<void> {
  const shown: NotificationOptions & { timestamp: number; vibrate?: number[] } = {
    body,
    tag: key,
    data: { path },
    icon: '/icon-192.png',
    badge: '/icon-192.png',
    requireInteraction: loud,
    timestamp: at,
    vibrate: loud ? [400, 200, 400, 200, 400] : [200],
  };
  await self.registration.showNotification(title, shown);
  await fetch('/api/me/notices/shown', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ key }),
  }).catch(() => undefined); // it was shown all the same
}

self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { path } = event.notification.data as { path: string };
  event.waitUntil(open(path));
});

async function open(path: string): Promise<void> {
  const [window] = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
  if (window) {
    window.postMessage({ go: path }); // first: a browser may not let itself be brought to the front
    await window.focus().catch(() => undefined);
  } else {
    await self.clients.openWindow(path);
  }
}
