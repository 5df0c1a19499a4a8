import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { FileButton } from '../kit/FileButton';
import { ProblemNotice } from '../kit/Notices';

type Form = Schema['FileForm'];

const HEAD = 4000;

/** Takes in what a logger wrote: which column is what is chosen, nothing is kept by half. */
export function LoggerFile({ chamberId, onClose }: { chamberId: string; onClose: () => void }) {
  const [form, setForm] = useState<Form | null>(null);
  const [columns, setColumns] = useState<string[]>([]);
  const open = useMutation({
    mutationFn: async (file: File) => {
      const text = await file.text();
      const names = await answer(
        api.POST('/api/logger-files/columns', { body: { text: text.slice(0, HEAD) } }),
      );
      return { name: file.name, text, names };
    },
    onSuccess: ({ name: fileName, text, names }) => {
      const like = (pattern: RegExp) => names.find((name) => pattern.test(name));
      setColumns(names);
      setForm({
        name: fileName,
        text,
        time: like(/time|date|when|zeit|datum/i) ?? names[0] ?? '',
        temperature: like(/temp|°|cel/i),
        humidity: like(/hum|rh|feucht/i),
        speed: like(/speed|wind|m\/s/i),
        moments: 'ISO',
        zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
        fahrenheit: names.some((name) => /°F|fahrenheit/i.test(name)),
      });
    },
  });
  const take = useMutation({
    mutationFn: (body: Form) =>
      answer(api.POST('/api/chambers/{id}/air/file', { params: { path: { id: chamberId } }, body })),
    onSuccess: refresh,
  });
  const change = (part: Partial<Form>) => {
    setForm((before) => before && { ...before, ...part });
    take.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (form) {
      take.mutate(form);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="file-title">
      <DialogTitle id="file-title" sx={{ typography: 'h2' }}>
        A logger’s file
      </DialogTitle>
      <DialogContent>
        <Stack component="form" spacing={2} sx={{ pt: 1 }} onSubmit={submit} noValidate>
          <Typography>A table with one header line, columns parted by comma, semicolon or tab.</Typography>
          <FileButton
            label="Choose the file"
            name="File of the logger"
            accept=".csv,.txt,text/csv"
            onFile={(file) => {
              setForm(null); // nobody shall take the one before in while this one is read
              take.reset();
              open.mutate(file);
            }}
          />
          <ProblemNotice failure={open.error} />
          {form && (
            <>
              <Column
                label="Moment"
                value={form.time}
                columns={columns}
                onChange={(time) => change({ time })}
              />
              <TextField
                select
                label="Written as"
                value={form.moments}
                onChange={(event) => change({ moments: event.target.value as Form['moments'] })}
              >
                <MenuItem value="ISO">2026-11-25 14:30</MenuItem>
                <MenuItem value="DAY_FIRST">25.11.2026 14:30</MenuItem>
                <MenuItem value="MONTH_FIRST">11/25/2026 14:30</MenuItem>
              </TextField>
              <TextField
                label="Clock of the logger"
                value={form.zone}
                onChange={(event) => change({ zone: event.target.value })}
                helperText="A time zone, as Europe/Berlin or UTC. A moment that names its own is taken at its word."
              />
              <Column
                label="Temperature"
                value={form.temperature}
                columns={columns}
                none
                onChange={(temperature) => change({ temperature: temperature || undefined })}
              />
              <TextField
                select
                label="Temperatures in"
                value={form.fahrenheit ? 'F' : 'C'}
                onChange={(event) => change({ fahrenheit: event.target.value === 'F' })}
              >
                <MenuItem value="C">°C</MenuItem>
                <MenuItem value="F">°F</MenuItem>
              </TextField>
              <Column
                label="Humidity, %"
                value={form.humidity}
                columns={columns}
                none
                onChange={(humidity) => change({ humidity: humidity || undefined })}
              />
              <Column
                label="Air speed, m/s"
                value={form.speed}
                columns={columns}
                none
                onChange={(speed) => change({ speed: speed || undefined })}
              />
              <ProblemNotice failure={take.error} />
              {take.data && (
                <Typography role="status">
                  {take.data.stored} readings kept
                  {take.data.known > 0 && `; ${take.data.known} were known already and left as they were`}.
                </Typography>
              )}
              <Button type="submit" variant="contained" size="large" disabled={take.isPending}>
                Take it in
              </Button>
            </>
          )}
          <Button color="inherit" onClick={onClose}>
            Close
          </Button>
        </Stack>
      </DialogContent>
    </Dialog>
  );
}

interface ColumnProps {
  label: string;
  value?: string;
  columns: string[];
  none?: boolean;
  onChange: (name: string) => void;
}

function Column({ label, value, columns, none, onChange }: ColumnProps) {
  return (
    <TextField select label={label} value={value ?? ''} onChange={(event) => onChange(event.target.value)}>
      {none && <MenuItem value="">not in the file</MenuItem>}
      {columns.map((name) => (
        <MenuItem key={name} value={name}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
