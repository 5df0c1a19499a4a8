import MenuItem from '@mui/material/MenuItem';
import type { Schema } from '../api/client';
import { coatingWords } from './words';

/** The coats a piece may hang under, to stand in a select. */
export const coatingChoices = () =>
  (Object.keys(coatingWords) as Schema['PieceView']['coating'][])
    .filter((coating) => coating !== 'HIDE') // it comes with the animal
    .map((coating) => (
      <MenuItem key={coating} value={coating}>
        {coatingWords[coating]}
      </MenuItem>
    ));

/** The ways of ageing, to stand in a select. */
export const methodChoices = (methods: Schema['MethodView'][]) =>
  methods.map((each) => (
    <MenuItem key={each.method} value={each.method}>
      {each.label}
    </MenuItem>
  ));

/** Chambers, to stand in a select. */
export const chamberChoices = (chambers: Schema['ChamberForm'][]) =>
  chambers.map((each) => (
    <MenuItem key={each.id} value={each.id}>
      {each.name}
    </MenuItem>
  ));
