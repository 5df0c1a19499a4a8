import type { Schema } from '../api/client';
import { writeFigures } from '../kit/weights';

type Plan = Schema['TreatmentScenario'];

/** A treatment as it stands in the fields. */
export interface Draft {
  kind: Plan['kind'];
  /** The workshop's own mixture, or ''. */
  recipeId: string;
  amount: string;
  measure: NonNullable<Plan['measure']>;
  basis: NonNullable<Plan['basis']>;
  rawGarlicOrHerbs: boolean;
  oil: boolean;
  spirit: boolean;
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
  PIECE: 'on the whole piece',
};

/** A kind with the dose to start from. */
export const firstOf = (kind: Schema['TreatmentView']): Draft => ({
  kind: kind.kind,
  recipeId: '',
  amount: kind.first ? writeFigures(kind.first.amount) : '',
  measure: kind.first?.measure ?? 'GRAM',
  basis: kind.first?.basis ?? 'KILOGRAM',
  rawGarlicOrHerbs: false,
  oil: false,
  spirit: false,
});

/** A recipe of the workshop's own, with its dose and what is in it. */
export const ofRecipe = (recipe: Schema['RecipeView']): Draft => ({
  kind: recipe.kind,
  recipeId: recipe.id,
  amount: writeFigures(recipe.amount),
  measure: 'GRAM',
  basis: recipe.basis,
  rawGarlicOrHerbs: recipe.rawGarlicOrHerbs,
  oil: recipe.oil,
  spirit: recipe.spirit,
});
