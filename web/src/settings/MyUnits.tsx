import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { columns, Part } from './Part';

type Preferences = Schema['Preferences'];

const choices: { [K in keyof Preferences]: { label: string; options: [Preferences[K], string][] } } = {
  weightUnit: {
    label: 'Weights',
    options: [
      ['KG', 'kilograms'],
      ['G', 'grams'],
      ['LB', 'pounds'],
      ['LB_OZ', 'pounds and ounces'],
    ],
  },
  temperatureUnit: {
    label: 'Temperatures',
    options: [
      ['CELSIUS', '°C'],
      ['FAHRENHEIT', '°F'],
    ],
  },
  lengthUnit: {
    label: 'Thickness',
    options: [
      ['MM', 'millimetres'],
      ['INCH', 'inches'],
    ],
  },
  figures: {
    label: 'Numbers and dates',
    options: [
      ['DEVICE', 'as this device writes them'],
      ['POINT_DAY_FIRST', '1.5 kg on 28 Nov 2026'],
      ['POINT_MONTH_FIRST', '1.5 kg on Nov 28, 2026'],
      ['COMMA_DAY_FIRST', '1,5 kg on 28 Nov 2026'],
    ],
  },
  theme: {
    label: 'Screen',
    options: [
      ['LIGHT', 'light, for the shop'],
      ['DARK', 'dark, for the cold room'],
      ['SYSTEM', 'as the device says'],
    ],
  },
};

/** How this person wants figures and screens; saved as chosen. */
export function MyUnits({ preferences }: { preferences: Preferences }) {
  // What is chosen next rests on what was chosen just before, also while that is on its way.
  const [chosen, setChosen] = useState<Partial<Preferences>>({});
  const save = useMutation({
    mutationFn: (next: Preferences) => answer(api.PUT('/api/me/preferences', { body: next })),
    onSuccess: refresh,
    onError: () => setChosen({}),
    scope: { id: 'preferences' }, // one after the other, so that the last one chosen stays
  });
  const shown = { ...preferences, ...chosen };
  const choose = (next: Partial<Preferences>) => {
    setChosen({ ...chosen, ...next });
    save.mutate({ ...shown, ...next });
  };
  return (
    <Part title="What you see" about="For you alone. What you type may be in any unit: 8.4 kg, 10 lb 6 oz.">
      <Box sx={columns}>
        {(Object.keys(choices) as (keyof Preferences)[]).map((key) => (
          <TextField
            key={key}
            select
            label={choices[key].label}
            value={shown[key]}
            onChange={(event) => choose({ [key]: event.target.value })}
          >
            {choices[key].options.map(([value, label]) => (
              <MenuItem key={value} value={value}>
                {label}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      <ProblemNotice failure={save.error} />
    </Part>
  );
}
