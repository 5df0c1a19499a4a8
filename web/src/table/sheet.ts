import type { Schema } from '../api/client';

export type Table = Schema['TasterSheets'];
export type SheetForm = Schema['SheetForm'];

/** A sheet as far as it is filled in on this phone. */
export interface Draft {
  round: number;
  step: number;
  scores: Record<string, Record<string, number>>;
  words: Record<string, string>;
  chips: Record<string, string[]>;
  /** Absent while nothing was chosen, null for neither. */
  picked?: number | null;
  /** Codes in the order they were put, the best first. */
  order: number[];
  /** Codes that are as good as the one before them. */
  equal: number[];
  knew: boolean;
}

export const blank = (round: number): Draft => ({
  round,
  step: 0,
  scores: {},
  words: {},
  chips: {},
  order: [],
  equal: [],
  knew: false,
});

/** What a taster goes through in one round. */
export type Step = { kind: 'taste'; code: number } | { kind: 'rest' } | { kind: 'choose' } | { kind: 'end' };

export function steps(table: Table, codes: number[]): Step[] {
  const tasting = codes.flatMap((code, index): Step[] => [
    ...(index > 0 ? [{ kind: 'rest' } as const] : []),
    { kind: 'taste', code },
  ]);
  return [...tasting, ...(table.kind === 'SCORES' ? [] : [{ kind: 'choose' } as const]), { kind: 'end' }];
}

/** Ranks by code: who is equal shares the rank of the one before, and the next ones are not moved up. */
export function ranks({ order, equal }: Draft): Record<string, number> {
  const all: Record<string, number> = {};
  order.forEach((code, index) => {
    const before = order[index - 1];
    all[code] = before !== undefined && equal.includes(code) ? (all[before] ?? 1) : index + 1;
  });
  return all;
}

/** Why a step cannot be left yet; nothing when it can. */
export function lacking(table: Table, draft: Draft, step: Step): string | null {
  if (step.kind === 'taste' && table.kind === 'SCORES') {
    const scored = table.attributes.some((attribute) => draft.scores[attribute.key]?.[step.code]);
    return scored ? null : 'Score one thing at least.';
  }
  if (step.kind !== 'choose') {
    return null;
  }
  if (table.kind === 'RANKING') {
    const codes = table.rounds[draft.round]?.codes ?? [];
    return draft.order.length === codes.length ? null : 'Put all of them in order.';
  }
  return draft.picked === undefined ? 'Choose one.' : null;
}

/** What is handed in: by codes, as it was answered. */
export function sheetOf(table: Table, draft: Draft): SheetForm {
  const codes = table.rounds[draft.round]?.codes ?? [];
  const words = codes.flatMap((code): [string, string][] => {
    const said = [...(draft.chips[code] ?? []), (draft.words[code] ?? '').trim()].filter(Boolean).join(', ');
    return said === '' ? [] : [[String(code), said]];
  });
  return {
    round: draft.round,
    picked: draft.picked ?? undefined,
    ranks: table.kind === 'RANKING' ? ranks(draft) : {},
    scores: draft.scores,
    words: Object.fromEntries(words),
    knew: draft.knew,
  };
}
