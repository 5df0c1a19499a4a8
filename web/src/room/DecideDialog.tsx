import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useState, type FormEvent } from 'react';
import type { Schema } from '../api/client';
import { ProblemNotice } from '../kit/Notices';
import { useDecide } from './decide';

/** Moves a task to another day, or skips it with a reason. */
export function DecideDialog({ due, onClose }: { due: Schema['WorkView']; onClose: () => void }) {
  const [day, setDay] = useState(dayjs().add(1, 'day').format('YYYY-MM-DD'));
  const [reason, setReason] = useState('');
  const decide = useDecide(onClose);
  const pull = due.work === 'PULL' || due.work === 'PULL_OVERDUE';
  const move = (event: FormEvent) => {
    event.preventDefault();
    decide.mutate({ due, verdict: 'MOVED', movedTo: day, reason });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="decide-title">
      <DialogTitle id="decide-title" sx={{ typography: 'h2' }}>
        {due.label} {due.subject.tag}
      </DialogTitle>
      <DialogContent>
        <Stack component="form" spacing={2} sx={{ pt: 1 }} onSubmit={move} noValidate>
          <TextField
            label={pull ? 'Pull it on another day' : 'Do it on another day'}
            type="date"
            value={day}
            onChange={(event) => {
              setDay(event.target.value);
              decide.reset();
            }}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <Button type="submit" variant="contained" disabled={decide.isPending}>
            Move it
          </Button>
          {!pull && (
            <>
              <TextField
                label="Or why it is skipped"
                value={reason}
                onChange={(event) => setReason(event.target.value)}
              />
              <Button
                variant="outlined"
                color="inherit"
                disabled={reason.trim() === '' || decide.isPending}
                onClick={() => decide.mutate({ due, verdict: 'SKIPPED', reason })}
              >
                Skip it
              </Button>
            </>
          )}
          <ProblemNotice failure={decide.error} />
        </Stack>
      </DialogContent>
    </Dialog>
  );
}
