import type { Schema } from '../api/client';

type Plan = Schema['TreatmentPlan'];

/** What stands in the fields, as it was typed. */
export interface Draft {
  kind: Plan['kind'];
  cutCode: string;
  weight: string;
  method: Plan['method'];
  amount: string;
  measure: NonNullable<Plan['measure']>;
  basis: NonNullable<Plan['basis']>;
  rawGarlicOrHerbs: boolean;
  oil: boolean;
  spirit: boolean;
  sharedChamber: boolean;
  celsius: string;
}

export const measureWords: Record<Draft['measure'], string> = {
  GRAM: 'g',
  MILLILITRE: 'mL',
  TEASPOON: 'tsp',
  TABLESPOON: 'tbsp',
};

export const basisWords: Record<Draft['basis'], string> = {
  KILOGRAM: 'per kg green weight',
  FIVE_POUNDS: 'per 5 lb green weight',
  PERCENT: '% of green weight',
  SQUARE_METRE: 'per m² of surface',
};

/** A kind with the dose to start from. */
export const firstOf = (
  kind: Schema['TreatmentView'],
): Pick<Draft, 'kind' | 'amount' | 'measure' | 'basis'> => ({
  kind: kind.kind,
  amount: kind.first ? String(kind.first.amount) : '',
  measure: kind.first?.measure ?? 'GRAM',
  basis: kind.first?.basis ?? 'KILOGRAM',
});

/** As spoons and scales are read: three figures, no more. */
export const measured = (amount: number): string =>
  amount >= 100 ? Math.round(amount).toString() : Number(amount.toPrecision(3)).toString();
