import { useMutation, useQuery } from '@tanstack/react-query';
import Typography from '@mui/material/Typography';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { OneTimeCode } from './OneTimeCode';
import { columns, Part } from './Part';

const Password = fieldsOf<Schema['Present']>();

/** Codes for the day the password is forgotten. */
export function MyCodes() {
  const left = useQuery({
    queryKey: ['codes left'],
    queryFn: () => answer(api.GET('/api/me/recovery-codes')),
  });
  const form = useKeptForm<Schema['Present']>(null, () => ({ password: '' }));
  const make = useMutation({
    mutationFn: (body: Schema['Present']) => answer(api.POST('/api/me/recovery-codes', { body })),
    onSuccess: async () => {
      form.hook.reset();
      await refresh();
    },
  });
  return (
    <Part
      title="If you forget your password"
      about="Each of these codes lets you choose a new one, once. Keep them on paper, away from this device."
    >
      {make.data ? (
        <OneTimeCode
          about="Write these down or print them now. They are not shown again, and those before open nothing any more."
          codes={make.data}
        />
      ) : (
        <Typography>
          {left.data && (left.data.left === 0 ? 'You have none yet.' : `You have ${left.data.left} left.`)}
        </Typography>
      )}
      <Form
        form={form}
        failure={make.error}
        onChange={make.reset}
        onSubmit={() => make.mutate(form.hook.getValues())}
        sx={columns}
      >
        <Password.Text
          name="password"
          label="Present password"
          type="password"
          autoComplete="current-password"
          required
        />
        <Save busy={make.isPending} failure={make.error}>
          Make new codes
        </Save>
      </Form>
    </Part>
  );
}
