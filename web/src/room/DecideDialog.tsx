import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useToday } from '../api/house';
import type { Schema } from '../api/client';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice, Questions } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { usePiece } from '../api/pieces';
import { Chips } from '../look/Chips';
import { useDecide } from './decide';

interface Text {
  day: string;
  reason: string;
}

const Other = fieldsOf<Text>();

/** Why a day is moved, in a touch. */
const whys = {
  'The weather': 'the weather',
  'Nobody is here': 'nobody is here',
  'A guest or a table': 'a guest or a table',
};

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
          <Chips
            label="Why"
            words={whys}
            chosen={Object.keys(whys).filter((each) => each === reason)}
            onChange={([why]) => form.change({ reason: why ?? '' })}
          />
          <Other.Text name="reason" label={pull ? 'Why (optional)' : 'Why; needed to skip it'} most={400} />
          {pull && <OtherDays pieceId={due.subject.id} />}
          <Button type="submit" variant="contained" disabled={decide.isPending}>
            Move it
          </Button>
          {!pull && (
            <>
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
          <Questions
            failure={decide.error}
            busy={decide.isPending}
            keep="Move it so"
            or="or choose another day"
            onAnswer={(answers) =>
              decide.mutate({
                due,
                verdict: 'MOVED',
                movedTo: day,
                reason: Object.values(answers).find((each) => each !== '') ?? 'Meant so.',
              })
            }
          />
        </Form>
      </DialogContent>
    </Dialog>
  );
}

/** What a week longer costs and a day earlier keeps. */
function OtherDays({ pieceId }: { pieceId: string }) {
  const units = useUnits();
  return usePiece(pieceId).data?.ahead?.otherDays.map((sentence) => (
    <Typography key={sentence} variant="body2">
      {units.sentence(sentence)}
    </Typography>
  ));
}
