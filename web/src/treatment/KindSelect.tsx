import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { FieldValues } from 'react-hook-form';
import type { Schema } from '../api/client';
import { useGroup } from '../kit/form/group';
import { firstOf, ofRecipe, type Draft } from './draft';

interface Props {
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  /** What else changes with the kind. */
  also?: FieldValues;
}

/** The kinds of treatment there are, and the workshop's own recipes. */
export function KindSelect({ kinds, recipes, also }: Props) {
  const { values: draft, change } = useGroup<Draft>();
  const choose = (value: string) => {
    const recipe = recipes.find((each) => each.id === value);
    const kind = kinds.find((each) => each.kind === value);
    if (recipe) {
      change({ ...ofRecipe(recipe), ...also });
    } else if (kind) {
      change({ ...firstOf(kind), ...also });
    }
  };
  const own = recipes.find((each) => each.id === draft.recipeId);
  const kind = kinds.find((each) => each.kind === draft.kind);
  return (
    <TextField
      select
      className="whole"
      label="Treatment"
      value={own ? own.id : draft.kind}
      onChange={(event) => choose(event.target.value)}
      helperText={own ? `${own.kindLabel}, ${own.dose}` : kind?.what}
    >
      {kinds.map((each) => (
        <MenuItem key={each.kind} value={each.kind}>
          {each.label}
        </MenuItem>
      ))}
      {recipes.length > 0 && <ListSubheader>Your own recipes</ListSubheader>}
      {recipes.map((each) => (
        <MenuItem key={each.id} value={each.id}>
          {each.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
