import { memo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { figure, useUnits } from '../kit/units';
import { CutField } from '../kit/form/CutField';
import { fieldsOf } from '../kit/form/fields';
import { useChange } from '../kit/form/group';
import { chamberChoices, coatingChoices, methodChoices } from '../kit/choices';
import { lastPaid, type Scenario } from './scenario';

interface Props {
  scenario: Scenario;
  first: Schema['FirstPlan'];
  methods: Schema['MethodView'][];
  chambers: Schema['ChamberForm'][];
  /** The air the last answer was reckoned with. */
  air?: { celsius: number; humidityPercent: number; metresPerSecond: number };
  /** How the chamber runs otherwise than it is set, where it does. */
  miss?: string;
  /** The weight is what is asked for, and so no input. */
  withoutWeight?: boolean;
}

/** What is thought of, and the sliders of what if. */
export function ScenarioFields({ scenario, first, methods, chambers, air, miss, withoutWeight }: Props) {
  const units = useUnits();
  const onChange = useChange<Scenario>();
  const set = chambers.find(({ id }) => id === scenario.chamberId);
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
        boneIn={scenario.boneIn}
        first={first}
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
        shown={`${figure(speed, 1)} m/s`}
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
      {ownAir && miss && set && (
        <Box sx={{ gridColumn: '1 / -1', borderLeft: '6px solid', borderColor: 'warning.main', pl: 1.5 }}>
          <Typography variant="body2" sx={{ fontWeight: 620 }}>
            {miss}
          </Typography>
          <Button
            size="small"
            color="inherit"
            onClick={() =>
              onChange({
                celsius: set.setCelsius,
                humidity: set.setHumidityPercent ?? null,
                speed: set.setMetresPerSecond,
              })
            }
          >
            Reckon with what it is set to
          </Button>
        </Box>
      )}
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

type PieceProps = Pick<Props, 'first' | 'methods' | 'chambers' | 'withoutWeight'> & { boneIn: boolean };

const Planned = fieldsOf<Scenario>();

/** The piece and where it would hang. Drawn apart from the sliders, so that a slider does not draw it again. */
const Piece = memo(function Piece({ first, methods, chambers, withoutWeight, boneIn }: PieceProps) {
  const units = useUnits();
  const change = useChange<Scenario>();
  const method = (next: string) => {
    const chosen = methods.find((each) => each.method === next);
    if (chosen) {
      change({
        days: chosen.usualDays,
        materials: chosen.usualConsumablesMinor > 0 ? units.moneyForField(chosen.usualConsumablesMinor) : '',
      });
    }
  };
  return (
    <>
      <CutField
        sx={{ gridColumn: '1 / -1' }}
        size="small"
        name="cutCode"
        required="Choose the cut."
        onPicked={(cut) =>
          cut &&
          change({
            boneIn: cut.usuallyOnTheBone,
            steaksOnBone: cut.steaksOnBone,
            price: lastPaid(cut.code, first, units),
          })
        }
      />
      {!withoutWeight && <Planned.Weight size="small" name="weight" label="Weight of a piece" />}
      <Planned.Measure size="small" name="fatCover" label="Fat cover" of="length" />
      <Planned.Choice size="small" name="method" label="Method" onChanged={method}>
        {methodChoices(methods)}
      </Planned.Choice>
      <Planned.Choice size="small" name="coating" label="On the surface">
        {coatingChoices()}
      </Planned.Choice>
      <Planned.Choice
        size="small"
        name="chamberId"
        label="Chamber"
        empty="a usual refrigerator"
        onChanged={() => change({ celsius: null, humidity: null, speed: null })}
      >
        {chamberChoices(chambers)}
      </Planned.Choice>
      <Planned.Measure size="small" name="price" label={`Price per ${units.perWeightUnit}`} of="price" bare />
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', my: -1 }}>
        <Planned.Check name="boneIn" label="on the bone" />
        {boneIn && <Planned.Check name="steaksOnBone" label="steaks keep their bone" />}
      </Box>
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
  onChange: (part: Partial<Scenario>) => void;
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
