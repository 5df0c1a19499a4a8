import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { signIn } from '../api/client';
import { refresh } from '../api/house';
import { passkeysPossible, signInWithPasskey } from '../api/passkeys';
import { ProblemNotice } from '../kit/Notices';
import { Door } from './Door';

export function SignIn() {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const enter = useMutation({ mutationFn: () => signIn(name, password), onSuccess: refresh });
  const byKey = useMutation({
    mutationFn: signInWithPasskey,
    onSuccess: (entered) => (entered ? refresh() : undefined),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate();
  };
  return (
    <Door title="Sign in">
      <Stack component="form" spacing={2} onSubmit={submit}>
        <TextField
          label="Sign-in name"
          type="email"
          autoComplete="username"
          autoFocus
          required
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <TextField
          label="Password"
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
        <ProblemNotice failure={enter.error ?? byKey.error} />
        <Button type="submit" variant="contained" size="large" disabled={enter.isPending}>
          Sign in
        </Button>
        {passkeysPossible() && (
          <Button
            variant="outlined"
            size="large"
            disabled={byKey.isPending}
            onClick={() => {
              enter.reset();
              byKey.mutate();
            }}
          >
            Sign in with a passkey
          </Button>
        )}
        <Button component={Link} to="/join" color="inherit">
          I have a code, or forgot the password
        </Button>
      </Stack>
    </Door>
  );
}
