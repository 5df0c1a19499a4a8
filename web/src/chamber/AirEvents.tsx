import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Caution, ProblemNotice } from '../kit/Notices';
import { figure, moment, useUnits } from '../kit/units';
import { lasted } from './stretch';

type AirEvent = Schema['AirEventView'];

/** What was wrong with the air, and what was decided about it. */
export function AirEvents({ air }: { air: Schema['AirView'] }) {
  const units = useUnits();
  return (
    <Box component="section" aria-labelledby="events">
      <Typography id="events" variant="h2">
        {air.points.length === 0
          ? 'Not measured'
          : air.events.length > 0
            ? 'What was wrong'
            : air.health === 'WELL'
              ? 'Nothing was wrong'
              : 'Right as far as it was measured'}
      </Typography>
      {air.events.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          {air.points.length === 0
            ? 'Nobody measured, so nobody knows.'
            : units.sentence('No air above ⟦temperature 5⟧, and no silence over six hours, in this stretch.')}
        </Typography>
      )}
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {air.events.map((event) => (
          <Event key={`${event.kind} ${event.from}`} chamberId={air.chamberId} event={event} />
        ))}
      </Box>
      <Caution of="WARM" />
    </Box>
  );
}

function Event({ chamberId, event }: { chamberId: string; event: AirEvent }) {
  const units = useUnits();
  const open = event.decisions.length === 0;
  const warm = event.kind === 'WARM';
  return (
    <Box component="li" sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1.25 }}>
      <Typography sx={{ fontWeight: 640, color: open ? 'warning.main' : 'text.primary' }}>
        {warm ? `Up to ${units.temperature(event.peakCelsius ?? 0)}` : 'No reading'} for{' '}
        {lasted(event.from, event.to)}
        {event.lasting && ', still'}
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        from {moment(event.from)}
        {warm && units.sentence(`, ${figure(event.degreeHours ?? 0, 1)} degree-hours above ⟦temperature 5⟧`)}
      </Typography>
      {event.filledBy.map((fill) => (
        <Typography key={fill.checksum} variant="body2" title={`SHA-256 ${fill.checksum}`}>
          Filled afterwards with {fill.readings} readings of the file {fill.name}
          {fill.by && <em>, {fill.by}</em>}, {moment(fill.at)}
        </Typography>
      ))}
      {event.decisions.map((decision) => (
        <Typography key={decision.at} variant="body2">
          {decision.words} <em>{decision.by}</em>, {moment(decision.at)}
        </Typography>
      ))}
      {open && <Decide chamberId={chamberId} event={event} />}
    </Box>
  );
}

interface Text {
  words: string;
}

const Decision = fieldsOf<Text>();

function Decide({ chamberId, event }: { chamberId: string; event: AirEvent }) {
  const form = useKeptForm<Text>(`air ${chamberId} ${event.kind} ${event.from}`, () => ({ words: '' }));
  const [id] = useState(newId);
  const decide = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/chambers/{id}/air/decisions/{decisionId}', {
          params: { path: { id: chamberId, decisionId: id } },
          body: { kind: event.kind, beganAt: event.from, words: form.values.words },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
    },
  });
  return (
    <Form
      form={form}
      failure={decide.error}
      onChange={decide.reset}
      onSubmit={() => decide.mutate()}
      sx={{ display: 'flex', gap: 1, mt: 1, alignItems: 'flex-start', flexWrap: 'wrap' }}
    >
      <Decision.Text
        size="small"
        name="words"
        label="What was decided, and why"
        required="Say what was decided."
        sx={{ flex: '1 1 220px' }}
      />
      <Button type="submit" variant="outlined" disabled={decide.isPending || form.values.words.trim() === ''}>
        Record it
      </Button>
      <ProblemNotice failure={decide.error} />
    </Form>
  );
}
