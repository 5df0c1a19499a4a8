import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type PieceView } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';

/** The ice under a piece: how much, how often, and the weather it is worked out from. */
export function OnIce({ piece }: { piece: PieceView }) {
  const units = useUnits();
  const { ice, card } = piece;
  const [open, setOpen] = useState(!ice);
  if (card.method !== 'ON_ICE' || card.state !== 'HANGING') {
    return null;
  }
  const kilograms = (weight: number) => units.load(weight * 1000);
  return (
    <Box
      component="section"
      aria-label="Ice"
      sx={{ borderLeft: '6px solid', borderColor: 'primary.main', pl: 2, display: 'grid', gap: 1 }}
    >
      {ice ? (
        <>
          <Typography sx={{ fontWeight: 640, fontSize: '1.15rem' }}>
            {kilograms(ice.laidInKg)} of ice to lay in
            {ice.allKg > ice.laidInKg && `, ${kilograms(ice.allKg)} in all with what is topped up`}
          </Typography>
          <Typography>
            {kilograms(ice.onceKg)} melt as the meat cools, then {kilograms(ice.perDayKg)} a day at{' '}
            {units.temperature(ice.outsideCelsius)} outside. Drain it{' '}
            {ice.topUpDays === 1 ? 'every day' : `every ${ice.topUpDays} days`} and top up some{' '}
            {kilograms(ice.topUpKg)}: under, between and over, and no meat in melt water.
            {ice.besideGrams > 0 &&
              ` Of what comes in through the chest this is its share beside ${units.load(ice.besideGrams)} more.`}
          </Typography>
        </>
      ) : (
        <Typography>Say how warm it is, and the ice is worked out.</Typography>
      )}
      {open ? (
        <Weather piece={piece} onSaid={() => setOpen(false)} />
      ) : (
        <Button
          color="inherit"
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() => setOpen(true)}
        >
          The weather has turned
        </Button>
      )}
    </Box>
  );
}

function Weather({ piece, onSaid }: { piece: PieceView; onSaid: () => void }) {
  const units = useUnits();
  const shown = (celsius?: number) => (celsius === undefined ? '' : units.temperatureForField(celsius));
  const [meat, setMeat] = useState(shown(piece.ice?.meatCelsius));
  const [outside, setOutside] = useState(shown(piece.ice?.outsideCelsius));
  const meatCelsius = units.readTemperature(meat);
  const outsideCelsius = units.readTemperature(outside);
  const say = useMutation({
    mutationFn: (warmth: { meatCelsius: number; outsideCelsius: number }) =>
      answer(
        api.PUT('/api/pieces/{id}/ice', {
          params: { path: { id: piece.card.id } },
          body: { version: piece.version, ...warmth },
        }),
      ),
    onSuccess: async () => {
      await refresh();
      onSaid();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (meatCelsius !== null && outsideCelsius !== null) {
      say.mutate({ meatCelsius, outsideCelsius });
    }
  };
  const field = (label: string, value: string, onChange: (text: string) => void, read: number | null) => (
    <TextField
      size="small"
      label={`${label}, ${units.temperatureUnit}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={value.trim() !== '' && read === null}
      helperText={value.trim() !== '' && read === null ? 'Not a temperature. Write 18 or 18.5.' : undefined}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'start', pt: 1 }}
    >
      {field('Air round the chest', outside, setOutside, outsideCelsius)}
      {field('Meat as it was laid in', meat, setMeat, meatCelsius)}
      <Button
        type="submit"
        variant="contained"
        disabled={meatCelsius === null || outsideCelsius === null || say.isPending}
        sx={{ minHeight: 40 }}
      >
        Work out the ice
      </Button>
      <ProblemNotice failure={say.error} />
    </Box>
  );
}
