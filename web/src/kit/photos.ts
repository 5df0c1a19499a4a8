import { del, get, set } from 'idb-keyval';
import { sendBytes } from '../api/client';
import { newId } from './drafts';

const ids = new WeakMap<File, string>();

/** A picture keeps its id however often it is sent. */
export function photoId(photo: File): string {
  const id = ids.get(photo) ?? newId();
  ids.set(photo, id);
  return id;
}

/** Where a picture of a look is. */
export const photoAddress = (pieceId: string, lookId: string, id: string): string =>
  `/api/pieces/${pieceId}/looks/${lookId}/photos/${id}`;

/** Sends a picture; sent again after a lost answer, it has the same id and is kept once. */
export const sendPhoto = (pieceId: string, lookId: string, photo: File): Promise<unknown> =>
  sendBytes(photoAddress(pieceId, lookId, photoId(photo)), photo);

const place = (id: string) => `elvaro photo ${id}`;

/** Keeps pictures on this device until Elvaro answers; their ids. */
export async function keepPhotos(photos: File[]): Promise<string[]> {
  for (const photo of photos) {
    await set(place(photoId(photo)), photo);
  }
  return photos.map(photoId);
}

/** Sends pictures that were kept, and lets them go. */
export async function sendKeptPhotos(pieceId: string, lookId: string, kept: string[]): Promise<void> {
  for (const id of kept) {
    const photo = await get<File>(place(id));
    if (photo) {
      await sendBytes(photoAddress(pieceId, lookId, id), photo);
      await del(place(id));
    }
  }
}
