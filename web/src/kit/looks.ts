import { answer, api, type Schema } from '../api/client';
import { didNotGetThrough, putAside, type Waiting } from './outbox';
import { keepPhotos, sendKeptPhotos, sendPhoto } from './photos';

type LookForm = Schema['LookForm'];
type LookView = Schema['LookView'];

const put = (pieceId: string, lookId: string, body: LookForm): Promise<LookView[]> =>
  answer(
    api.PUT('/api/pieces/{id}/looks/{entryId}', { params: { path: { id: pieceId, entryId: lookId } }, body }),
  );

/** Keeps a look, with its pictures; where Elvaro does not answer, on this device until it does: then there is no answer. */
export async function keepLook(
  pieceId: string,
  lookId: string,
  name: string,
  look: LookForm,
  photos: File[],
): Promise<LookView | null> {
  try {
    const looks = await put(pieceId, lookId, look);
    for (const photo of photos) {
      await sendPhoto(pieceId, lookId, photo);
    }
    return looks.find((each) => each.id === lookId) ?? null;
  } catch (failure) {
    if (!didNotGetThrough(failure)) {
      throw failure;
    }
    const at = new Date().toISOString();
    putAside({
      pieceId,
      entryId: lookId,
      entry: { kind: 'LOOKED', at },
      look: { ...look, at },
      photos: await keepPhotos(photos),
      stamped: true,
      name,
    });
    return null;
  }
}

/** Sends one that waited. */
export async function sendLook({ pieceId, entryId, look, photos }: Waiting): Promise<void> {
  if (look) {
    await put(pieceId, entryId, { ...look, sentAt: new Date().toISOString() });
    await sendKeptPhotos(pieceId, entryId, photos ?? []);
  }
}
