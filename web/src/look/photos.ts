import { sendBytes } from '../api/client';
import { newId } from '../kit/drafts';

const ids = new WeakMap<File, string>();

/** Where a picture of a look is. */
export const photoAddress = (pieceId: string, lookId: string, photoId: string): string =>
  `/api/pieces/${pieceId}/looks/${lookId}/photos/${photoId}`;

/** Sends a picture; sent again after a lost answer, it has the same id and is kept once. */
export function sendPhoto(pieceId: string, lookId: string, photo: File): Promise<unknown> {
  const id = ids.get(photo) ?? newId();
  ids.set(photo, id);
  return sendBytes(photoAddress(pieceId, lookId, id), photo);
}
