import { memo } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useLots } from '../api/lots';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { asCuts, chamberChoices, coatingChoices, methodChoices } from '../kit/choices';
import { lastPaid, type Scenario } from './scenario';

interface Props {
  scenario: Scenario;
  onChange: (part: Partial<Scenario>) => void;
  cuts: Schema['CutView'][];
  methods: Schema['MethodView'][];
  chambers: Schema['ChamberForm'][];
  /** The air the last answer was reckoned with. */
  air?: { celsius: number; humidityPercent: number; metresPerSecond: number };
  /** The weight is what is asked for, and so no input. */
  withoutWeight?: boolean;
}

/** What is thought of, and the sliders of what if. */
export function ScenarioFields({ scenario, onChange, cuts, methods, chambers, air, withoutWeight }: Props) {
  const units = useUnits();
  const ownAir = scenario.celsius === null && scenario.humidity === null && scenario.speed === null;
  const humidity = Math.round(scenario.humidity ?? air?.humidityPercent ?? 80);
  const celsius = scenario.celsius ?? air?.celsius ?? 2;
  const speed = scenario.speed ?? air?.metresPerSecond ?? 0.5;
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
        gap: 1.5,
        alignItems: 'start',
      }}
    >
      <Piece
        cutCode={scenario.cutCode}
        boneIn={scenario.boneIn}
        fatCover={scenario.fatCover}
        weight={scenario.weight}
        method={scenario.method}
        coating={scenario.coating}
        chamberId={scenario.chamberId}
        price={scenario.price}
        onChange={onChange}
        cuts={cuts}
        methods={methods}
        chambers={chambers}
        withoutWeight={withoutWeight}
      />
      <What
        name="Days"
        part="days"
        value={scenario.days}
        shown={String(scenario.days)}
        min={1}
        max={120}
        step={1}
        onChange={onChange}
      />
      <What
        name="Humidity"
        part="humidity"
        value={humidity}
        shown={`${humidity} % RH`}
        min={40}
        max={100}
        step={1}
        onChange={onChange}
      />
      <What
        name="Temperature"
        part="celsius"
        value={celsius}
        shown={units.temperature(celsius)}
        min={-2}
        max={8}
        step={0.5}
        onChange={onChange}
      />
      <What
        name="Air"
        part="speed"
        value={speed}
        shown={`${speed.toFixed(1)} m/s`}
        min={0}
        max={2}
        step={0.1}
        onChange={onChange}
      />
      <What
        name="Steaks"
        part="steakMm"
        value={scenario.steakMm}
        shown={units.thickness(scenario.steakMm)}
        min={10}
        max={80}
        step={1}
        onChange={onChange}
      />
      {!ownAir && (
        <Button
          size="small"
          color="inherit"
          sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
          onClick={() => onChange({ celsius: null, humidity: null, speed: null })}
        >
          The chamber’s own air again
        </Button>
      )}
    </Box>
  );
}

type PieceProps = Pick<
  Scenario,
  'cutCode' | 'boneIn' | 'fatCover' | 'weight' | 'method' | 'coating' | 'chamberId' | 'price'
> &
  Pick<Props, 'onChange' | 'cuts' | 'methods' | 'chambers' | 'withoutWeight'>;

/** The piece and where it would hang. Drawn apart from the sliders, so that a slider does not draw it again. */
const Piece = memo(function Piece({
  onChange,
  cuts,
  methods,
  chambers,
  withoutWeight,
  ...piece
}: PieceProps) {
  const units = useUnits();
  const lots = useLots();
  const cut = cuts.find((each) => each.code === piece.cutCode) ?? null;
  const method = (next: string) => {
    const chosen = methods.find((each) => each.method === next);
    if (chosen) {
      onChange({
        method: chosen.method,
        days: chosen.usualDays,
        materials: chosen.usualConsumablesMinor > 0 ? units.moneyForField(chosen.usualConsumablesMinor) : '',
      });
    }
  };
  return (
    <>
      <Autocomplete
        sx={{ gridColumn: '1 / -1' }}
        size="small"
        options={cuts}
        value={cut}
        disableClearable={cut !== null}
        {...asCuts}
        onChange={(_, next) =>
          next &&
          onChange({
            cutCode: next.code,
            boneIn: next.usuallyOnTheBone,
            price: lastPaid(next.code, lots.data ?? [], units),
          })
        }
        renderInput={(params) => <TextField {...params} label="Cut" />}
      />
      {!withoutWeight && (
        <WeightField
          size="small"
          label="Weight of a piece"
          text={piece.weight}
          onText={(weight) => onChange({ weight })}
        />
      )}
      <TextField
        size="small"
        label="Fat cover"
        value={piece.fatCover}
        onChange={(event) => onChange({ fatCover: event.target.value })}
        slotProps={{
          htmlInput: { inputMode: 'decimal' },
          input: { endAdornment: <InputAdornment position="end">{units.lengthUnit}</InputAdornment> },
        }}
      />
      <TextField
        select
        size="small"
        label="Method"
        value={piece.method}
        onChange={(event) => method(event.target.value)}
      >
        {methodChoices(methods)}
      </TextField>
      <TextField
        select
        size="small"
        label="On the surface"
        value={piece.coating}
        onChange={(event) => onChange({ coating: event.target.value as Scenario['coating'] })}
      >
        {coatingChoices()}
      </TextField>
      <TextField
        select
        size="small"
        label="Chamber"
        value={piece.chamberId}
        onChange={(event) =>
          onChange({ chamberId: event.target.value, celsius: null, humidity: null, speed: null })
        }
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">a usual refrigerator</MenuItem>
        {chamberChoices(chambers)}
      </TextField>
      <TextField
        size="small"
        label={`Price, per ${units.perWeightUnit}`}
        value={piece.price}
        onChange={(event) => onChange({ price: event.target.value })}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <FormControlLabel
        sx={{ gridColumn: '1 / -1', my: -1 }}
        control={<Checkbox checked={piece.boneIn} onChange={(_, boneIn) => onChange({ boneIn })} />}
        label="on the bone"
      />
    </>
  );
});

interface WhatProps {
  name: string;
  /** What of the scenario it moves. */
  part: 'days' | 'humidity' | 'celsius' | 'speed' | 'steakMm';
  value: number;
  shown: string;
  min: number;
  max: number;
  step: number;
  onChange: Props['onChange'];
}

/** One what-if: its name, its value, and the slider that moves it. */
const What = memo(function What({ name, part, value, shown, min, max, step, onChange }: WhatProps) {
  return (
    <Box sx={{ px: 0.5, minWidth: 0 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {name}
        </Typography>
        <Typography variant="body2" noWrap sx={{ fontWeight: 640 }}>
          {shown}
        </Typography>
      </Box>
      <Slider
        size="small"
        aria-label={name}
        getAriaValueText={() => shown}
        value={value}
        min={min}
        max={max}
        step={step}
        onChange={(_, next) => onChange({ [part]: next as number })}
        sx={{ py: 1.5 }}
      />
    </Box>
  );
});
