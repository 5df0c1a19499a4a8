import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { columns, Part } from './Part';

export function MyPassword() {
  const form = useForm<Schema['PasswordChange']>({ defaultValues: { oldPassword: '', password: '' } });
  const change = useMutation({
    mutationFn: (body: Schema['PasswordChange']) => api.PUT('/api/me/password', { body }),
    onSuccess: refresh,
  });
  return (
    <Part title="Your password" about="Changing it ends your sessions everywhere; you sign in afresh.">
      <Box component="form" sx={columns} onSubmit={form.handleSubmit((values) => change.mutate(values))}>
        <TextField
          label="Present password"
          type="password"
          autoComplete="current-password"
          required
          {...form.register('oldPassword')}
        />
        <TextField
          label="New password"
          type="password"
          autoComplete="new-password"
          required
          {...form.register('password')}
        />
        <Button type="submit" variant="outlined" disabled={change.isPending} sx={{ minHeight: 56 }}>
          Change password
        </Button>
      </Box>
      <ProblemNotice failure={change.error} />
    </Part>
  );
}
