import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { api, signIn, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { Door } from './Door';

type Setup = Schema['Setup'];

/** The first visit: the one-time code and the owner's account. */
export function SetUp() {
  const form = useForm<Setup>({
    defaultValues: {
      code: '',
      workshopName: '',
      currency: 'EUR',
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      signInName: '',
      name: '',
      password: '',
    },
  });
  const setUp = useMutation({
    mutationFn: async (values: Setup) => {
      await api.POST('/api/setup', { body: values });
      await signIn(values.signInName, values.password);
    },
    onSuccess: refresh,
  });
  return (
    <Door title="Make the first account">
      <Stack component="form" spacing={2} onSubmit={form.handleSubmit((values) => setUp.mutate(values))}>
        <TextField
          label="One-time code"
          helperText="Printed where Elvaro was started."
          autoFocus
          required
          autoComplete="off"
          {...form.register('code')}
        />
        <TextField label="Name of the workshop or household" required {...form.register('workshopName')} />
        <Stack direction="row" spacing={2}>
          <TextField label="Currency" required {...form.register('currency')} />
          <TextField label="Time zone" required {...form.register('zone')} />
        </Stack>
        <TextField label="Your name" required autoComplete="name" {...form.register('name')} />
        <TextField
          label="Sign-in name"
          helperText="In the form of an e-mail address; nothing is sent to it."
          type="email"
          required
          autoComplete="username"
          {...form.register('signInName')}
        />
        <TextField
          label="Password"
          helperText="Ten characters or more; a few words do well."
          type="password"
          required
          autoComplete="new-password"
          {...form.register('password')}
        />
        <ProblemNotice failure={setUp.error} />
        <Button type="submit" variant="contained" size="large" disabled={setUp.isPending}>
          Make the account
        </Button>
      </Stack>
    </Door>
  );
}
