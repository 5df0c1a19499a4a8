import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Answers, type PieceView } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';

interface Text {
  chamberId: string;
  words: string;
}

const Move = fieldsOf<Text>();

/** Hangs a piece in another chamber, whose air the forecast follows from then on. */
export function MoveDialog({ piece: { card }, onClose }: { piece: PieceView; onClose: () => void }) {
  const chambers = useChambers();
  const [id] = useState(newId);
  const form = useKeptForm<Text>(`move ${card.id}`, () => ({ chamberId: '', words: '' }));
  const move = useMutation({
    mutationFn: (answers: Answers) =>
      api.PUT('/api/pieces/{id}/move/{entryId}', {
        params: { path: { id: card.id, entryId: id } },
        body: { chamberId: form.values.chamberId, words: form.values.words.trim(), answers },
      }),
    onSuccess: async () => {
      form.clear();
      onClose();
      await refresh();
    },
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="move-title">
      <DialogTitle id="move-title" sx={{ typography: 'h2' }}>
        Move {card.tag}
      </DialogTitle>
      <DialogContent>
        <Form
          form={form}
          failure={move.error}
          onChange={move.reset}
          onSubmit={() => move.mutate({})}
          sx={{ display: 'grid', gap: 2 }}
        >
          <Typography>
            It hangs in {card.chamberName}. The forecast keeps the air it had there, and follows the air of
            the new chamber from now on. A move is not taken back; move it again instead.
          </Typography>
          <Move.Choice name="chamberId" label="To" required="Choose where to.">
            {chamberChoices((chambers.data ?? []).filter((chamber) => chamber.id !== card.chamberId))}
          </Move.Choice>
          <Move.Text name="words" label="Why (optional)" />
          <Save
            busy={move.isPending}
            failure={move.error}
            keep="Move it all the same"
            or="or choose another"
            onAnswer={(answers) => move.mutate(answers)}
            beside={
              <Button color="inherit" onClick={onClose}>
                Leave it
              </Button>
            }
          >
            Move it
          </Save>
        </Form>
      </DialogContent>
    </Dialog>
  );
}
