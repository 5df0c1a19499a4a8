import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { signIn, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { forgetKnown } from '../api/known';
import { ProblemNotice } from '../kit/Notices';

/** The session ended while the page was open: one signs in on the spot, and goes on with the forms as they were. */
export function SignInAgain({ me }: { me: Schema['Me'] }) {
  const [password, setPassword] = useState('');
  const enter = useMutation({ mutationFn: () => signIn(me.signInName, password), onSuccess: refresh });
  return (
    <Dialog open fullWidth maxWidth="xs" aria-labelledby="sign-in-again">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          event.stopPropagation();
          enter.mutate();
        }}
      >
        <DialogTitle id="sign-in-again">You were signed out</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2 }}>
          <Typography>
            What stands in the forms is as you left it. Sign in again as {me.name}, {me.signInName}, and go
            on.
          </Typography>
          <TextField
            label="Password"
            type="password"
            autoComplete="current-password"
            autoFocus
            required
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
          <ProblemNotice failure={enter.error} />
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={() => void forgetKnown().then(() => window.location.assign('/'))}>
            Somebody else signs in
          </Button>
          <Button type="submit" variant="contained" loading={enter.isPending}>
            Sign in
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
