import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Schema } from '../api/client';

type Preview = Schema['LoggerPreview'];

/** What was said of a file; what was not is guessed from it. */
export interface Meaning extends Partial<
  Pick<Preview, 'headLine' | 'time' | 'timeOfDay' | 'temperature' | 'humidity' | 'speed' | 'order' | 'unit'>
> {
  zone: string;
}

interface Props {
  seen: Preview;
  said: Meaning;
  onChange: (said: Meaning) => void;
}

const orderWords: Record<Preview['order'], string> = {
  YEAR_FIRST: 'year, month, day',
  DAY_FIRST: 'day, month, year',
  MONTH_FIRST: 'month, day, year',
};

const unitWords: Record<Preview['unit'], string> = { CELSIUS: '°C', FAHRENHEIT: '°F', KELVIN: 'K' };

const columnsOf = ({ headLine, time, timeOfDay, temperature, humidity, speed }: Preview) => ({
  headLine,
  time,
  timeOfDay,
  temperature,
  humidity,
  speed,
});

/** Which column is what, as it was guessed or as it was said. */
export function LoggerMeaning({ seen, said, onChange }: Props) {
  const columns = said.time === undefined ? columnsOf(seen) : said;
  const choose = (part: Partial<Meaning>) => onChange({ ...said, ...columns, ...part });
  return (
    <Box
      role="group"
      aria-label="Which column is what"
      sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))' }}
    >
      <Column
        label="Moment, or its day"
        value={columns.time}
        columns={seen.columns}
        onChange={(time) => choose({ time })}
      />
      <Column
        label="Time of the day"
        value={columns.timeOfDay}
        columns={seen.columns}
        none="in the same column"
        onChange={(timeOfDay) => choose({ timeOfDay })}
      />
      <TextField
        select
        size="small"
        label="Days are written"
        value={said.order ?? (seen.orderSure ? seen.order : '')}
        error={!seen.orderSure && said.order === undefined}
        helperText={
          !seen.orderSure && said.order === undefined ? 'They could be meant in two ways.' : undefined
        }
        onChange={(event) => onChange({ ...said, order: event.target.value as Preview['order'] })}
      >
        {Object.entries(orderWords).map(([order, words]) => (
          <MenuItem key={order} value={order}>
            {words}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        size="small"
        label="Clock of the logger"
        value={said.zone}
        onChange={(event) => onChange({ ...said, zone: event.target.value })}
        helperText="As Europe/Berlin or UTC, where a moment does not say."
      />
      <Column
        label="Temperature"
        value={columns.temperature}
        columns={seen.columns}
        none="not in the file"
        onChange={(temperature) => choose({ temperature })}
      />
      <TextField
        select
        size="small"
        label="Temperatures in"
        value={said.unit ?? seen.unit}
        onChange={(event) => onChange({ ...said, unit: event.target.value as Preview['unit'] })}
      >
        {Object.entries(unitWords).map(([unit, words]) => (
          <MenuItem key={unit} value={unit}>
            {words}
          </MenuItem>
        ))}
      </TextField>
      <Column
        label="Humidity, %"
        value={columns.humidity}
        columns={seen.columns}
        none="not in the file"
        onChange={(humidity) => choose({ humidity })}
      />
      <Column
        label="Air speed, m/s"
        value={columns.speed}
        columns={seen.columns}
        none="not in the file"
        onChange={(speed) => choose({ speed })}
      />
      <TextField
        size="small"
        type="number"
        label="Heads stand in line"
        value={columns.headLine ?? ''}
        onChange={(event) =>
          choose({ headLine: event.target.value === '' ? undefined : Number(event.target.value) })
        }
        helperText="0 where there are none."
      />
    </Box>
  );
}

interface ColumnProps {
  label: string;
  value?: number;
  columns: string[];
  none?: string;
  onChange: (column: number | undefined) => void;
}

function Column({ label, value, columns, none, onChange }: ColumnProps) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value ?? ''}
      onChange={(event) => onChange(event.target.value === '' ? undefined : Number(event.target.value))}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      {none && <MenuItem value="">{none}</MenuItem>}
      {columns.map((name, column) => (
        <MenuItem key={name} value={column}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
