import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';

/** Gives a tasting up that nobody will finish. */
export function Drop({ tasting }: { tasting: Schema['TastingView'] }) {
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const drop = useMutation({
    mutationFn: () =>
      api.PUT('/api/tastings/{id}/drop', {
        params: { path: { id: tasting.id } },
        body: { version: tasting.version },
      }),
    onSuccess: async () => {
      await refresh();
      navigate('/tastings');
    },
  });
  return (
    <>
      <Button color="inherit" onClick={() => setOpen(true)}>
        Give it up
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="drop">
        <DialogTitle id="drop">Give this tasting up?</DialogTitle>
        <DialogContent>
          Its links end and it is no longer listed. What was handed in is kept and counts nowhere.
          <ProblemNotice failure={drop.error} />
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={() => setOpen(false)}>
            Keep it
          </Button>
          <Button
            autoFocus
            color="warning"
            variant="contained"
            disabled={drop.isPending}
            onClick={() => drop.mutate()}
          >
            Give it up
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
