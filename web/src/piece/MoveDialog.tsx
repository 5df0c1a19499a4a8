import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Answers, type PieceView } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';

/** Hangs a piece in another chamber, whose air the forecast follows from then on. */
export function MoveDialog({ piece: { card }, onClose }: { piece: PieceView; onClose: () => void }) {
  const chambers = useChambers();
  const [id] = useState(newId);
  const [chamberId, setChamberId] = useState('');
  const [words, setWords] = useState('');
  const move = useMutation({
    mutationFn: (answers: Answers) =>
      api.PUT('/api/pieces/{id}/move/{entryId}', {
        params: { path: { id: card.id, entryId: id } },
        body: { chamberId, words: words.trim(), answers },
      }),
    onSuccess: async () => {
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
        <Stack spacing={2}>
          <Typography>
            It hangs in {card.chamberName}. The forecast keeps the air it had there, and follows the air of
            the new chamber from now on. A move is not taken back; move it again instead.
          </Typography>
          <TextField
            select
            label="To"
            value={chamberId}
            onChange={(event) => {
              setChamberId(event.target.value);
              move.reset();
            }}
          >
            {chamberChoices((chambers.data ?? []).filter((chamber) => chamber.id !== card.chamberId))}
          </TextField>
          <TextField
            label="Why (optional)"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <ProblemNotice failure={move.error} />
          <Questions
            failure={move.error}
            busy={move.isPending}
            keep="Move it all the same"
            or="or choose another"
            onAnswer={(answers) => move.mutate(answers)}
          />
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        <Button
          variant="contained"
          disabled={chamberId === '' || move.isPending}
          onClick={() => move.mutate({})}
        >
          Move it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
