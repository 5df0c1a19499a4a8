import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { answer, api, signIn } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { Door } from './Door';

/** Whoever has a code, from an invitation or kept on paper, chooses a password and is in. */
export default function Join() {
  const { hash } = useLocation();
  const navigate = useNavigate();
  const [code, setCode] = useState(hash.slice(1)); // what follows # is sent to nobody
  const [password, setPassword] = useState('');
  const enter = useMutation({
    mutationFn: async () => {
      const { signInName } = await answer(api.POST('/api/password-by-code', { body: { code, password } }));
      await signIn(signInName, password);
    },
    onSuccess: async () => {
      await navigate('/', { replace: true });
      await refresh();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate();
  };
  return (
    <Door title="Choose your password">
      <Stack component="form" spacing={2} onSubmit={submit}>
        <Typography sx={{ color: 'text.secondary' }}>
          With a code from the owner of the workshop, one you kept on paper, or one printed where Elvaro runs.
          Each opens once.
        </Typography>
        <TextField
          label="Code"
          autoComplete="one-time-code"
          autoFocus={code === ''}
          required
          value={code}
          onChange={(event) => {
            enter.reset();
            setCode(event.target.value);
          }}
        />
        <TextField
          label="New password"
          type="password"
          autoComplete="new-password"
          autoFocus={code !== ''}
          required
          helperText="At least 10 characters; a few words that have nothing to do with one another do well."
          value={password}
          onChange={(event) => {
            enter.reset();
            setPassword(event.target.value);
          }}
        />
        <ProblemNotice failure={enter.error} />
        <Button type="submit" variant="contained" size="large" disabled={enter.isPending}>
          Go in
        </Button>
        <Button component={Link} to="/" color="inherit">
          Sign in with a password
        </Button>
      </Stack>
    </Door>
  );
}
