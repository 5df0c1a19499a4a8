import type { Schema } from '../api/client';

export type StoryPhoto = Schema['StoryPhoto'];
export type PhotoMoment = StoryPhoto['shows'];

/** What a picture may show, for whoever takes one; a look takes its own. */
export const momentWords: Record<Exclude<PhotoMoment, 'LOOK'>, string> = {
  AS_HUNG: 'as it is hung',
  HANGING: 'while it hangs',
  PULLED: 'at the pull',
  CUT_FACE: 'the cut face',
  STEAKS: 'the steaks',
  PLATE: 'on the plate',
  OTHER: 'something else',
};

/** What a person says a picture shows. */
export type Taken = keyof typeof momentWords;

export const photoOf = (pieceId: string, id: string): string => `/api/pieces/${pieceId}/photos/${id}`;

export const thumbnailOf = (pieceId: string, id: string): string => `${photoOf(pieceId, id)}?thumbnail=true`;

/** What a picture most likely shows, as the piece stands. */
export function likelyNow(state: Schema['PieceCard']['state'], dayNumber?: number): Taken {
  switch (state) {
    case 'HANGING':
      return dayNumber === 0 ? 'AS_HUNG' : 'HANGING';
    case 'WAITING':
      return 'AS_HUNG';
    case 'PULLED':
      return 'PULLED';
    case 'CUT':
      return 'STEAKS';
    default:
      return 'OTHER';
  }
}

/** When and what, under a picture: its day and what it shows. */
export const dayAndWhat = (photo: StoryPhoto): string =>
  [photo.day != null && `day ${photo.day}`, photo.label].filter(Boolean).join(', ') || 'before it hung';
