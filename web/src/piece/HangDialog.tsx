import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Answers, type PieceView, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh, useToday } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readDays, useUnits } from '../kit/units';

/** Hangs a piece that was treated for days first: what it weighs now is its green weight. */
export function HangDialog({ piece, onClose }: { piece: PieceView; onClose: () => void }) {
  const chambers = useChambers();
  return chambers.data ? <Hang piece={piece} chambers={chambers.data} onClose={onClose} /> : null;
}

interface Props {
  piece: PieceView;
  chambers: Schema['ChamberForm'][];
  onClose: () => void;
}

interface Text {
  weight: string;
  chamberId: string;
  days: string;
  hungOn: string;
}

const Hung = fieldsOf<Text>();

function Hang({ piece: { card }, chambers, onClose }: Props) {
  const units = useUnits();
  const today = useToday();
  const [id] = useState(newId);
  const form = useKeptForm<Text>(`hang ${card.id}`, () => ({
    weight: '',
    chamberId: chambers[0]?.id ?? '',
    days: String(card.targetDays ?? ''),
    hungOn: today,
  }));
  const hang = useMutation({
    mutationFn: (answers: Answers) =>
      api.PUT('/api/pieces/{id}/hang/{entryId}', {
        params: { path: { id: card.id, entryId: id } },
        body: {
          greenGrams: units.readWeight(form.values.weight) ?? 0,
          chamberId: form.values.chamberId,
          targetDays: Math.round(readDays(form.values.days) ?? 0),
          hungOn: form.values.hungOn === '' ? undefined : form.values.hungOn,
          answers,
        },
      }),
    onSuccess: async () => {
      form.clear();
      onClose();
      await refresh();
    },
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="hang-title">
      <DialogTitle id="hang-title" sx={{ typography: 'h2' }}>
        Hang {card.tag}
      </DialogTitle>
      <DialogContent>
        <Form
          form={form}
          failure={hang.error}
          names={{ greenGrams: 'weight', targetDays: 'days' }}
          onChange={hang.reset}
          onSubmit={() => hang.mutate({})}
          sx={{ display: 'grid', gap: 2 }}
        >
          <Typography>
            It weighed {units.weight(card.greenGrams)} when it was cut. Drain it, dry its faces and weigh it:
            that is the green weight everything later is a share of.
          </Typography>
          <Hung.Weight
            name="weight"
            label="Weight as it hangs"
            required="Weigh it: everything later is a share of that."
            big
            autoFocus
          />
          <Hung.Choice name="chamberId" label="Chamber" required="Choose the chamber.">
            {chamberChoices(chambers)}
          </Hung.Choice>
          <Hung.Day name="hungOn" label="It hangs since" required />
          <Hung.Measure name="days" label="Target days" of="days" required="Say for how many days." />
          <Save
            busy={hang.isPending}
            failure={hang.error}
            keep="Hang it all the same"
            onAnswer={(answers) => hang.mutate(answers)}
            beside={
              <Button color="inherit" onClick={onClose}>
                Not yet
              </Button>
            }
          >
            Hang it
          </Save>
        </Form>
      </DialogContent>
    </Dialog>
  );
}
