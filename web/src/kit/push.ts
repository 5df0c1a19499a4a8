import { answer, api } from '../api/client';
import { newId } from './drafts';

const LONGEST_MS = 20_000;
const kept = 'elvaro phone';

/** Whether this browser can show messages of the house; else why not, in a sentence. */
export function whyNoPush(): string {
  if (!window.isSecureContext) {
    return 'This page came unencrypted, so the browser shows no messages of it. Open Elvaro by an address that begins with https://.';
  }
  if (!('serviceWorker' in navigator) || !('PushManager' in window) || !('Notification' in window)) {
    return 'This browser shows no messages. On a phone, put Elvaro on the home screen first and open it from there.';
  }
  return Notification.permission === 'denied'
    ? 'This browser was told to show no messages of Elvaro. Its settings for this page let you change that.'
    : '';
}

/** What takes too long is as good as refused. */
async function within<T>(work: Promise<T>, else_: string): Promise<T> {
  let timer = 0;
  const late = new Promise<never>((_, refuse) => {
    timer = window.setTimeout(() => refuse(new Error(else_)), LONGEST_MS);
  });
  return Promise.race([work, late]).finally(() => window.clearTimeout(timer));
}

function bytes(base64: string): Uint8Array<ArrayBuffer> {
  const plain = atob(base64.replaceAll('-', '+').replaceAll('_', '/'));
  return Uint8Array.from(plain, (letter) => letter.charCodeAt(0));
}

function text(key: ArrayBuffer | null): string {
  return btoa(String.fromCharCode(...new Uint8Array(key ?? new ArrayBuffer(0))))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

const ready = () =>
  within(
    navigator.serviceWorker.ready,
    'Elvaro is not kept on this device yet. Reload the page and try again.',
  );

/** What this browser is to be called in a list. */
function deviceName(): string {
  const agent = navigator.userAgent;
  const system = /iPhone|iPad|Android|Windows|Mac OS X|Linux/.exec(agent)?.[0] ?? 'Device';
  return /Mobi|iPhone|Android/.test(agent)
    ? `Phone (${system.replace('Mac OS X', 'iOS')})`
    : `Computer (${system})`;
}

/** Whether messages come to this browser. */
export async function thisPhone(): Promise<string | undefined> {
  if (whyNoPush() !== '') {
    return undefined;
  }
  const registration = await navigator.serviceWorker.getRegistration();
  return (await registration?.pushManager.getSubscription())?.endpoint;
}

/** Asks the browser and tells the house. @param houseKey by which the browser knows the house */
export async function connectThisPhone(houseKey: string): Promise<void> {
  if ((await Notification.requestPermission()) !== 'granted') {
    throw new Error('The browser was not allowed to show messages, so none will come here.');
  }
  const registration = await ready();
  const before = await registration.pushManager.getSubscription();
  if (before && text(before.options.applicationServerKey) !== houseKey) {
    await before.unsubscribe(); // it was for another house, or for this one before its key was lost
  }
  const subscription = await within(
    registration.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: bytes(houseKey) }),
    'The browser’s push service does not answer. It may need a network; try again later.',
  );
  const id = localStorage.getItem(kept) ?? newId();
  localStorage.setItem(kept, id);
  await answer(
    api.PUT('/api/me/phones/{id}', {
      params: { path: { id } },
      body: {
        name: deviceName(),
        endpoint: subscription.endpoint,
        key: text(subscription.getKey('p256dh')),
        shared: text(subscription.getKey('auth')),
      },
    }),
  );
}

/**
 * Push services give a browser a new endpoint as they like, and a house may have a new key: a device that was connected stays
 * so. Whatever goes wrong is tried again the next time the application is opened.
 */
export async function keepThisPhone(): Promise<void> {
  const id = localStorage.getItem(kept);
  if (id === null || whyNoPush() !== '' || Notification.permission !== 'granted') {
    return;
  }
  const { phones, pushKey } = await answer(api.GET('/api/me/notices'));
  const known = phones.find((phone) => phone.id === id);
  if (known && known.endpoint !== (await thisPhone())) {
    await connectThisPhone(pushKey);
  }
}

/** A message that was touched leads to what it is about. */
export function whenMessageTouched(go: (path: string) => void): () => void {
  const listen = ({ data }: MessageEvent) => {
    const path = (data as { go?: unknown } | null)?.go;
    if (typeof path === 'string' && path.startsWith('/')) {
      go(path);
    }
  };
  navigator.serviceWorker?.addEventListener('message', listen);
  return () => navigator.serviceWorker?.removeEventListener('message', listen);
}
