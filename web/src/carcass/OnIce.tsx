import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type PieceView, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useUnits } from '../kit/units';

type Bags = Schema['Bags'];

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
          {ice.bags && (
            <Typography sx={{ fontWeight: 620 }}>
              Bags of {units.load(ice.bags.grams)}: {layers(ice.bags)}; {ice.bags.all} in all with what is
              topped up.
            </Typography>
          )}
          <Typography>
            {kilograms(ice.onceKg)} melt as the meat cools, then {kilograms(ice.perDayKg)} a day at{' '}
            {units.temperature(ice.outsideCelsius)} outside. Drain it{' '}
            {ice.topUpDays === 1 ? 'every day' : `every ${ice.topUpDays} days`} and top up{' '}
            {ice.bags
              ? ice.bags.topUp === 1
                ? 'one bag'
                : `${ice.bags.topUp} bags`
              : `some ${kilograms(ice.topUpKg)}`}
            : under, between and over, and no meat in melt water.
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

interface Text {
  outside: string;
  meat: string;
  bag: string;
}

const Warmth = fieldsOf<Text>();

/** Where its bags go, but where none does. */
const layers = ({ under, between, over }: Bags): string =>
  [under > 0 && `${under} under it`, between > 0 && `${between} between`, `${over} over`]
    .filter(Boolean)
    .join(', ');

function Weather({ piece, onSaid }: { piece: PieceView; onSaid: () => void }) {
  const units = useUnits();
  const shown = (celsius?: number) => (celsius === undefined ? '' : units.temperatureForField(celsius));
  const form = useKeptForm<Text>(`ice ${piece.card.id}`, () => ({
    outside: shown(piece.ice?.outsideCelsius),
    meat: shown(piece.ice?.meatCelsius),
    bag: piece.ice?.bags ? units.weightForField(piece.ice.bags.grams) : '',
  }));
  const meatCelsius = units.readTemperature(form.values.meat);
  const outsideCelsius = units.readTemperature(form.values.outside);
  const say = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/pieces/{id}/ice', {
          params: { path: { id: piece.card.id } },
          body: {
            version: piece.version,
            meatCelsius: meatCelsius ?? 0,
            outsideCelsius: outsideCelsius ?? 0,
            bagGrams: units.readWeight(form.values.bag) ?? undefined,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
      onSaid();
    },
  });
  return (
    <Form
      form={form}
      failure={say.error}
      names={{ meatCelsius: 'meat', outsideCelsius: 'outside', bagGrams: 'bag' }}
      onChange={say.reset}
      onSubmit={() => say.mutate()}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'start', pt: 1 }}
    >
      <Warmth.Measure size="small" name="outside" label="Air round the chest" of="temperature" required />
      <Warmth.Measure size="small" name="meat" label="Meat as it was laid in" of="temperature" required />
      <Warmth.Weight size="small" name="bag" label="A bag of ice holds" />
      <Save
        busy={say.isPending}
        disabled={meatCelsius === null || outsideCelsius === null}
        failure={say.error}
      >
        Work out the ice
      </Save>
    </Form>
  );
}
