import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { readNumber, useUnits } from '../kit/units';
import { armColour } from '../trial/arms';

type Tasting = Schema['TastingView'];
type Sample = Schema['SampleView'];

/** Cook alike: what is started when, and the core each really had. */
export function Kitchen({ tasting }: { tasting: Tasting }) {
  const units = useUnits();
  const { cook } = tasting;
  const turns = [...tasting.samples].sort((one, other) => one.turn - other.turn);
  return (
    <Box component="section" aria-label="In the kitchen">
      <Typography variant="h2">In the kitchen</Typography>
      <Typography sx={{ color: 'text.secondary', mb: 1.5 }}>
        {cook.heatLabel}, core {units.temperature(cook.coreCelsius)}
        {` at ${units.temperature(cook.fireCelsius)}`}, from {units.temperature(cook.startCelsius)},{' '}
        {cook.restMinutes} minutes&apos; rest{cook.seasoning && `; ${cook.seasoning}`}. One person cooks and
        lays the plates, and does not taste.
      </Typography>
      {turns.map((sample) => (
        <Line
          key={`${sample.id} ${sample.version}`}
          tasting={tasting}
          sample={sample}
          colour={armColour(tasting.samples.indexOf(sample))}
        />
      ))}
      {tasting.weakenedBy.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <Typography sx={{ fontWeight: 620 }}>
            {tasting.state === 'REVEALED' ? 'What weakened it' : 'What would weaken it as it stands'}
          </Typography>
          {tasting.weakenedBy.map((each) => (
            <Typography key={each}>{each}</Typography>
          ))}
        </Box>
      )}
    </Box>
  );
}

interface Text {
  core: string;
  probeMinutes: string;
  probe: string;
  same: boolean;
}

const Cooked = fieldsOf<Text>();

function Line({ tasting, sample, colour }: { tasting: Tasting; sample: Sample; colour: string }) {
  const units = useUnits();
  const form = useKeptForm<Text>(`kitchen ${sample.id} ${sample.version}`, () => ({
    core: sample.coreCelsius == null ? '' : units.temperatureForField(sample.coreCelsius),
    same: sample.sameSeasoning,
    probeMinutes: sample.probeMinutes == null ? '' : String(sample.probeMinutes),
    probe: sample.probeCelsius == null ? '' : units.temperatureForField(sample.probeCelsius),
  }));
  const { core, same, probe, probeMinutes } = form.values;
  const probed = {
    probeMinutes: readNumber(probeMinutes) ?? undefined,
    probeCelsius: units.readTemperature(probe) ?? undefined,
  };
  const over = tasting.state === 'REVEALED' || tasting.state === 'DROPPED';
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/tastings/{id}/samples/{sampleId}', {
          params: { path: { id: tasting.id, sampleId: sample.id } },
          body: {
            version: sample.version,
            thicknessMm: sample.thicknessMm,
            thawed: sample.thawed,
            sameSeasoning: same,
            coreCelsius: units.readTemperature(core) ?? undefined,
            ...probed,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
    },
  });
  const changed =
    same !== sample.sameSeasoning ||
    probed.probeMinutes !== (sample.probeMinutes ?? undefined) ||
    probed.probeCelsius !== (sample.probeCelsius ?? undefined) ||
    (units.readTemperature(core) ?? undefined) !== sample.coreCelsius;
  return (
    <Box sx={{ borderLeft: '6px solid', borderColor: colour, pl: 2, py: 0.75, mb: 1 }}>
      <Form
        form={form}
        failure={save.error}
        names={{ coreCelsius: 'core', probeCelsius: 'probe' }}
        onChange={save.reset}
        onSubmit={() => save.mutate()}
        sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, rowGap: 1 }}
      >
        <Box sx={{ flex: '1 1 200px', minWidth: 0 }}>
          <Typography
            sx={{ fontWeight: 640, color: 'text.primary' }}
            {...(sample.pieceId && { component: Link, to: `/bench/${sample.pieceId}` })}
          >
            {sample.name}
          </Typography>
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {timing(sample, tasting.cook.heat)}
            {sample.thicknessMm > 0 && `, ${units.thickness(sample.thicknessMm)}`}
            {sample.thawed && ', thawed'}
          </Typography>
        </Box>
        {over ? (
          <Typography sx={{ fontWeight: 640 }}>
            {sample.coreCelsius == null
              ? 'core not measured'
              : `core ${units.temperature(sample.coreCelsius)}`}
          </Typography>
        ) : (
          <>
            <Cooked.Measure
              size="small"
              name="core"
              label={`Core of ${sample.name}`}
              of="temperature"
              sx={{ width: 200 }}
            />
            {tasting.cook.heat !== 'BATH' && (
              <>
                <Cooked.Measure
                  size="small"
                  name="probeMinutes"
                  label="Probe after"
                  ariaLabel={`Probe in ${sample.name} after`}
                  of="minutes"
                  sx={{ width: 130 }}
                />
                <Cooked.Measure
                  size="small"
                  name="probe"
                  label="it showed"
                  ariaLabel={`Probe in ${sample.name} showed`}
                  of="temperature"
                  sx={{ width: 130 }}
                />
              </>
            )}
            <Cooked.Check name="same" label="seasoned like the rest" />
            <Button
              type="submit"
              variant="outlined"
              disabled={!changed || save.isPending}
              aria-label={`Keep what was measured of ${sample.name}`}
            >
              Keep
            </Button>
          </>
        )}
      </Form>
      <ProblemNotice failure={save.error} />
    </Box>
  );
}

function timing(sample: Sample, heat: Tasting['cook']['heat']): string {
  const { turn, minutes, leastMinutes, mostMinutes, startAfter, probed } = sample;
  if (minutes == null || leastMinutes == null || mostMinutes == null) {
    return turn === 1 ? 'start first, by thermometer' : 'by thermometer';
  }
  const after = Math.round(startAfter ?? 0);
  const start = after === 0 ? 'from the start' : `in after ${after} minutes`;
  if (heat === 'BATH') {
    return `${Math.round(minutes)} minutes in the bath, ${start}`;
  }
  const band = `${Math.round(leastMinutes)} to ${Math.round(mostMinutes)}`;
  return `about ${Math.round(minutes)} minutes (${band}), ${start}${probed ? ', by the probe' : ''}; the thermometer decides`;
}
