import type { Schema } from '../api/client';
import { days, percent } from './units';

type Card = Pick<
  Schema['PieceCard'],
  'state' | 'lastWeighedAt' | 'daysUnweighed' | 'expectedLost' | 'shrinkFraction'
>;

/** Whether it hangs since an earlier day and nobody weighed it: what it was hung at says nothing of now. */
export const neverWeighed = (card: Card): boolean =>
  card.state === 'HANGING' && card.lastWeighedAt == null && (card.daysUnweighed ?? 0) > 0;

/** How long ago it was weighed, where that is not today; undefined where it is, or it was not. */
export const weighedAgo = (card: Card): string | undefined =>
  card.lastWeighedAt != null && card.daysUnweighed ? `${days(card.daysUnweighed)} ago` : undefined;

/** How much of it is gone: as it was weighed, else as the forecast says. */
export function gone(card: Card): string {
  if (!neverWeighed(card)) {
    return `${percent(card.shrinkFraction)} gone`;
  }
  return card.expectedLost == null
    ? 'never weighed'
    : `never weighed, about ${percent(card.expectedLost)} gone`;
}
