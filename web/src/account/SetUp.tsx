import Stack from '@mui/material/Stack';
import { useMutation } from '@tanstack/react-query';
import { api, signIn, type Schema } from '../api/client';
import { refresh, useSession } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { RadioButtons } from '../kit/RadioButtons';
import { Door } from './Door';

type Setup = Schema['Setup'];

const Owner = fieldsOf<Setup>();

/** The first visit: the one-time code and the owner's account. */
export function SetUp() {
  const guess = useSession().data?.guess;
  const form = useKeptForm<Setup>(null, () => ({
    code: '',
    workshopName: '',
    currency: guess?.currency ?? 'EUR',
    measures: guess?.measures ?? 'METRIC',
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    signInName: '',
    name: '',
    password: '',
  }));
  const setUp = useMutation({
    mutationFn: async (values: Setup) => {
      await api.POST('/api/setup', { body: values });
      await signIn(values.signInName, values.password);
    },
    onSuccess: refresh,
  });
  return (
    <Door title="Make the first account">
      <Form
        form={form}
        failure={setUp.error}
        onChange={setUp.reset}
        onSubmit={() => setUp.mutate(form.hook.getValues())}
        sx={{ display: 'grid', gap: 2 }}
      >
        <Owner.Text
          name="code"
          label="One-time code"
          helper="Printed where Elvaro was started."
          autoFocus
          required
          autoComplete="off"
        />
        <Owner.Text name="workshopName" label="Name of the workshop or household" required />
        <RadioButtons<NonNullable<Setup['measures']>>
          label="Units"
          value={form.values.measures ?? 'METRIC'}
          choices={[
            ['METRIC', 'kg, °C, mm'],
            ['IMPERIAL', 'lb, °F, in'],
          ]}
          onChange={(measures) => form.change({ measures })}
        />
        <Stack direction="row" spacing={2}>
          <Owner.Text name="currency" label="Currency" required />
          <Owner.Text name="zone" label="Time zone" required />
        </Stack>
        <Owner.Text name="name" label="Your name" required autoComplete="name" />
        <Owner.Text
          name="signInName"
          label="Sign-in name"
          helper="In the form of an e-mail address; nothing is sent to it."
          type="email"
          required
          autoComplete="username"
        />
        <Owner.Text
          name="password"
          label="Password"
          helper="Ten characters or more; a few words do well."
          type="password"
          required
          autoComplete="new-password"
        />
        <Save busy={setUp.isPending} failure={setUp.error}>
          Make the account
        </Save>
      </Form>
    </Door>
  );
}
