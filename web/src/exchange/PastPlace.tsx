import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Sheet } from './past';
import { grid } from './PastMeaning';

/** Where in a file the table stands. */
export interface Place {
  sheet: number;
  headRow?: number;
}

interface Props {
  sheet: Sheet;
  onChange: (place: Place) => void;
}

/** Which sheet of the file is meant, and which of its rows holds the heads. */
export function PastPlace({ sheet, onChange }: Props) {
  const [row, setRow] = useState(String(sheet.headRow));
  const settle = () => {
    if (Number(row) > 0 && Number(row) !== sheet.headRow) {
      onChange({ sheet: sheet.sheet, headRow: Number(row) });
    }
  };
  return (
    <Box role="group" aria-label="Where the table stands" sx={grid}>
      {sheet.sheets.length > 1 && (
        <TextField
          select
          size="small"
          label="Sheet"
          value={sheet.sheet}
          onChange={(event) => onChange({ sheet: Number(event.target.value) })}
        >
          {sheet.sheets.map((name, index) => (
            <MenuItem key={name} value={index}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField
        size="small"
        type="number"
        label="Heads stand in row"
        value={row}
        onChange={(event) => setRow(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => event.key === 'Enter' && settle()}
      />
    </Box>
  );
}
