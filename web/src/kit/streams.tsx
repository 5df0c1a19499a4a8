import type { Schema } from '../api/client';

export type Stream = NonNullable<Schema['EntryForm']['stream']>;
type Part = 'steak' | 'trim' | 'fat' | 'bone' | 'discard' | 'water';
type Share = Part | 'withdrawn' | 'residual';

/** The piles in the order of the bench. */
const known: Record<Stream, { part: Part; label: string }> = {
  STEAK: { part: 'steak', label: 'Steaks and roasts' },
  USABLE_TRIM: { part: 'trim', label: 'Usable trim' },
  FAT: { part: 'fat', label: 'Rendering fat' },
  BONE: { part: 'bone', label: 'Bone' },
  DISCARD: { part: 'discard', label: 'Discard' },
};

export const streams = (Object.keys(known) as Stream[]).map((stream) => ({ stream, ...known[stream] }));

/** What a bar is drawn from. */
export type Drawn = Pick<
  Schema['LedgerView'],
  'greenGrams' | 'cutAwayGrams' | 'withdrawnGrams' | 'shrinkGrams' | 'residualGrams' | 'piles'
>;

/** One stretch of the green weight. */
export interface Stretch {
  share: Share;
  label: string;
  grams: number;
  /** What lies before it on the bar. */
  from: number;
}

/** Where the green weight went, in the order it is drawn. What is off nobody's pile is drawn open. */
export function stretches(ledger: Drawn): Stretch[] {
  const piles = streams.map(({ stream, part, label }) => ({
    share: part as Share,
    label,
    // What was thrown away before the pull lies on no pile of the bench.
    grams: (ledger.piles[stream] ?? 0) + (part === 'discard' ? ledger.cutAwayGrams : 0),
  }));
  return [
    ...piles,
    { share: 'residual' as const, label: 'On no pile', grams: Math.max(0, ledger.residualGrams) },
    { share: 'withdrawn' as const, label: 'Taken early', grams: ledger.withdrawnGrams - ledger.cutAwayGrams },
    { share: 'water' as const, label: 'Water', grams: Math.max(0, ledger.shrinkGrams) },
  ]
    .filter((stretch) => stretch.grams > 0)
    .reduce<Stretch[]>((placed, stretch) => {
      const last = placed.at(-1);
      return [...placed, { ...stretch, from: last ? last.from + last.grams : 0 }];
    }, []);
}

/** Fill of a stretch: its colour, and a hatching of its own so that it is told apart without colour. */
export const fillOf = (share: Share): string => `url(#part-${share})`;

const colour = (part: Part) => `var(--mui-palette-part-${part})`;

/** The hatchings; to be put once into the page. */
export function Hatchings() {
  const mark = 'var(--mui-palette-background-paper)';
  return (
    <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
      <defs>
        <pattern id="part-steak" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill={colour('steak')} />
        </pattern>
        <pattern
          id="part-trim"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="8" height="8" fill={colour('trim')} />
          <rect width="2" height="8" fill={mark} opacity="0.55" />
        </pattern>
        <pattern id="part-fat" width="9" height="9" patternUnits="userSpaceOnUse">
          <rect width="9" height="9" fill={colour('fat')} />
          <circle cx="4.5" cy="4.5" r="1.6" fill={mark} opacity="0.8" />
        </pattern>
        <pattern id="part-bone" width="10" height="10" patternUnits="userSpaceOnUse">
          <rect width="10" height="10" fill={colour('bone')} />
          <path d="M5 2V8M2 5H8" stroke="var(--mui-palette-text-secondary)" strokeWidth="1" opacity="0.6" />
        </pattern>
        <pattern
          id="part-discard"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill={colour('discard')} />
          <path d="M0 0H7M0 0V7" stroke={mark} strokeWidth="1.4" opacity="0.5" />
        </pattern>
        <pattern id="part-water" width="10" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 3Q2.5 0.5 5 3T10 3" fill="none" stroke={colour('water')} strokeWidth="1.2" />
        </pattern>
        <pattern id="part-withdrawn" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill={colour('steak')} opacity="0.35" />
        </pattern>
        <pattern
          id="part-residual"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <rect width="3" height="8" fill="var(--mui-palette-warning-main)" opacity="0.45" />
        </pattern>
      </defs>
    </svg>
  );
}
