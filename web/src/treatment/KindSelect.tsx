import ListSubheader from '@mui/material/ListSubheader';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Schema } from '../api/client';
import { firstOf, ofRecipe, type Draft } from './draft';

interface Props {
  draft: Draft;
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  onChange: (draft: Draft) => void;
}

/** The kinds of treatment there are, and the workshop's own recipes. */
export function KindSelect({ draft, kinds, recipes, onChange }: Props) {
  const choose = (value: string) => {
    const recipe = recipes.find((each) => each.id === value);
    const kind = kinds.find((each) => each.kind === value);
    if (recipe) {
      onChange(ofRecipe(recipe));
    } else if (kind) {
      onChange(firstOf(kind));
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
