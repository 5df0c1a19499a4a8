import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import dayjs from 'dayjs';
import { useToday } from '../api/house';
import type { Schema } from '../api/client';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { useDecide } from './decide';

interface Text {
  day: string;
  reason: string;
}

const Other = fieldsOf<Text>();

/** Moves a task to another day, or skips it with a reason. */
export function DecideDialog({ due, onClose }: { due: Schema['WorkView']; onClose: () => void }) {
  const today = useToday();
  const form = useKeptForm<Text>(`decide ${due.work} ${due.subject.id}`, () => ({
    day: dayjs(today).add(1, 'day').format('YYYY-MM-DD'),
    reason: '',
  }));
  const { day, reason } = form.values;
  const decide = useDecide(() => {
    form.clear();
    onClose();
  });
  const pull = due.work === 'PULL' || due.work === 'PULL_OVERDUE';
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="decide-title">
      <DialogTitle id="decide-title" sx={{ typography: 'h2' }}>
        {due.label} {due.subject.tag}
      </DialogTitle>
      <DialogContent>
        <Form
          form={form}
          failure={decide.error}
          names={{ movedTo: 'day' }}
          onChange={decide.reset}
          onSubmit={() => decide.mutate({ due, verdict: 'MOVED', movedTo: day, reason })}
          sx={{ display: 'grid', gap: 2, pt: 1 }}
        >
          <Other.Day name="day" label={pull ? 'Pull it on another day' : 'Do it on another day'} required />
          <Button type="submit" variant="contained" disabled={decide.isPending}>
            Move it
          </Button>
          {!pull && (
            <>
              <Other.Text name="reason" label="Or why it is skipped" />
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
        </Form>
      </DialogContent>
    </Dialog>
  );
}
