import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { AskFirst } from '../kit/AskFirst';
import { answer, api, type Schema } from '../api/client';
import { useChambers, useDevices } from '../api/chambers';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { ProblemNotice } from '../kit/Notices';
import { columns, Part } from './Part';

type Probe = Schema['DeviceView'];

const SCALE = 'scale';

/** Probes and scales: what each speaks for, and its token. */
export function Probes() {
  const devices = useDevices();
  const [shown, setShown] = useState<Probe | null>(null);
  const told = async (probe: Probe) => {
    setShown(probe);
    await refresh();
  };
  return (
    <Box id="probes">
      <Part
        title="Probes and scales"
        about="A probe sends temperature, humidity and air speed by itself; a chamber has one. A scale sends its figure to Weigh. How they speak stands in the guide."
      >
        {devices.data?.map((probe) => (
          <Row key={probe.id} probe={probe} onToken={told} />
        ))}
        {shown?.token && (
          <Typography role="status" sx={{ overflowWrap: 'anywhere' }}>
            Give {shown.name} this token now; it is not shown again: <strong>{shown.token}</strong>
          </Typography>
        )}
        <Add onAdded={told} />
      </Part>
    </Box>
  );
}

function Row({ probe, onToken }: { probe: Probe; onToken: (probe: Probe) => Promise<void> }) {
  const path = { params: { path: { id: probe.id } }, body: { version: probe.version } };
  const renew = useMutation({
    mutationFn: () => answer(api.PUT('/api/devices/{id}/token', path)),
    onSuccess: onToken,
  });
  const revoke = useMutation({
    mutationFn: () => answer(api.PUT('/api/devices/{id}/revoke', path)),
    onSuccess: refresh,
  });
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        flexWrap: 'wrap',
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 0.5,
      }}
    >
      <Box sx={{ flex: 1, minWidth: 180 }}>
        <Typography sx={{ typography: 'h3' }}>{probe.name}</Typography>
        <Typography>{probe.chamberName ?? 'scale'}</Typography>
        {probe.says && <Typography color="warning.main">{probe.says}</Typography>}
      </Box>
      <AskFirst
        label="New token"
        name={`New token for ${probe.name}`}
        warning={`${probe.name} is not heard any more until it is given the new one.`}
        busy={renew.isPending}
        onYes={() => renew.mutate()}
      />
      <AskFirst
        label="Remove access"
        name={`Remove access of ${probe.name}`}
        warning={`${probe.name} is not heard any more; what it measured stays.`}
        busy={revoke.isPending}
        onYes={() => revoke.mutate()}
      />
      <ProblemNotice failure={renew.error ?? revoke.error} />
    </Box>
  );
}

interface Text {
  id: string;
  name: string;
  chamberId: string;
}

const New = fieldsOf<Text>();

function Add({ onAdded }: { onAdded: (probe: Probe) => Promise<void> }) {
  const chambers = useChambers();
  const form = useKeptForm<Text>('device', () => ({ id: newId(), name: '', chamberId: '' }));
  const add = useMutation({
    mutationFn: ({ id, name, chamberId }: Text) =>
      answer(
        api.PUT('/api/devices/{id}', {
          params: { path: { id } },
          body: { name, chamberId: chamberId === SCALE ? undefined : chamberId },
        }),
      ),
    onSuccess: async (probe) => {
      form.clear();
      await onAdded(probe);
    },
  });
  return (
    <Form
      form={form}
      failure={add.error}
      onChange={add.reset}
      onSubmit={() => add.mutate(form.hook.getValues())}
      sx={columns}
    >
      <New.Text name="name" label="Name of the device" required />
      <New.Choice name="chamberId" label="What it measures" required="Say what it measures.">
        <MenuItem value={SCALE}>weight: a scale</MenuItem>
        {chambers.data?.map((chamber) => (
          <MenuItem key={chamber.id} value={chamber.id}>
            air of {chamber.name}
          </MenuItem>
        ))}
      </New.Choice>
      <Save busy={add.isPending} failure={add.error}>
        Add the device
      </Save>
    </Form>
  );
}
