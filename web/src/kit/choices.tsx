import MenuItem from '@mui/material/MenuItem';
import type { Schema } from '../api/client';
import { coatingWords } from './words';

/** The coats a piece may hang under, to stand in a select. */
export const coatingChoices = () =>
  (Object.keys(coatingWords) as Schema['PieceView']['coating'][]).map((coating) => (
    <MenuItem key={coating} value={coating}>
      {coatingWords[coating]}
    </MenuItem>
  ));
