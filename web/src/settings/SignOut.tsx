import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { signOut } from '../api/client';
import { forgetKnown } from '../api/known';
import { countDrafts, dropDrafts } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { useOutbox } from '../kit/outbox';

/** Signs out; says before what would be lost on this device, and what stays. */
export function SignOut() {
  const [drafts, setDrafts] = useState<number | null>(null);
  const waiting = useOutbox().length;
  const leave = useMutation({
    mutationFn: signOut,
    onSuccess: async () => {
      dropDrafts();
      await forgetKnown();
      window.location.assign('/');
    },
  });
  const ask = () => {
    const left = countDrafts();
    if (left > 0 || waiting > 0) {
      setDrafts(left);
    } else {
      leave.mutate();
    }
  };
  return (
    <>
      <Button variant="outlined" color="inherit" onClick={ask} disabled={leave.isPending}>
        Sign out
      </Button>
      <ProblemNotice failure={leave.error} />
      <Dialog open={drafts !== null} onClose={() => setDrafts(null)} aria-labelledby="sign-out">
        <DialogTitle id="sign-out">Sign out?</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1 }}>
          {drafts !== null && drafts > 0 && (
            <Typography>
              {drafts === 1
                ? 'One form was left half-filled on this device: what stands in it is lost.'
                : `${drafts} forms were left half-filled on this device: what stands in them is lost.`}
            </Typography>
          )}
          {waiting > 0 && (
            <Typography>
              {waiting === 1 ? 'One entry' : `${waiting} entries`} could not be sent yet. They stay on this
              device and are sent once you sign in again.
            </Typography>
          )}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={() => setDrafts(null)}>
            Stay
          </Button>
          <Button autoFocus variant="contained" onClick={() => leave.mutate()} disabled={leave.isPending}>
            Sign out
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
