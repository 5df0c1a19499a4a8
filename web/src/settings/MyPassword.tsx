import { useMutation } from '@tanstack/react-query';
import { api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { columns, Part } from './Part';

type Change = Schema['PasswordChange'];

const Password = fieldsOf<Change>();

export function MyPassword() {
  const form = useKeptForm<Change>(null, () => ({ oldPassword: '', password: '' }));
  const change = useMutation({
    mutationFn: (body: Change) => api.PUT('/api/me/password', { body }),
    onSuccess: refresh,
  });
  return (
    <Part
      title="Your password"
      about="Changing it ends your sessions everywhere; you sign in afresh. Phones that show you messages, programs, and your calendar’s address have to be connected again."
    >
      <Form
        form={form}
        failure={change.error}
        onChange={change.reset}
        onSubmit={() => change.mutate(form.hook.getValues())}
        sx={columns}
      >
        <Password.Text
          name="oldPassword"
          label="Present password"
          type="password"
          autoComplete="current-password"
          required
        />
        <Password.Text
          name="password"
          label="New password"
          type="password"
          autoComplete="new-password"
          required
        />
        <Save busy={change.isPending} failure={change.error}>
          Change password
        </Save>
      </Form>
    </Part>
  );
}
