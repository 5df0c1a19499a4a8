import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber } from '../kit/units';
import { columns, Part } from '../settings/Part';
import { TestButton } from './TestButton';

type House = Schema['HouseNoticesForm'];
type Text = Record<'mailHost' | 'mailPort' | 'mailSecurity' | 'mailUser' | 'mailFrom', string>;

const Mail = fieldsOf<Text>();

/** Who takes the mail of the house. Its password is typed and never shown again. */
export function HouseMail({ house }: { house: House }) {
  const [password, setPassword] = useState('');
  const form = useKeptForm<Text>(`mail server ${house.version}`, () => ({
    mailHost: house.mailHost,
    mailPort: String(house.mailPort),
    mailSecurity: house.mailSecurity,
    mailUser: house.mailUser,
    mailFrom: house.mailFrom,
  }));
  const save = useMutation({
    mutationFn: (body: House) => answer(api.PUT('/api/notices/house', { body })),
    onSuccess: refresh,
  });
  const bodyOf = (text: Text): House => ({
    ...house,
    ...text,
    mailPort: Math.round(readNumber(text.mailPort) ?? 0),
    mailSecurity: text.mailSecurity as House['mailSecurity'],
    ...(password ? { mailPassword: password } : {}),
  });
  return (
    <Part
      title="Mail server"
      about="Any that takes mail over SMTP: that of whoever keeps your mailbox, or one in the house. Empty for none."
    >
      <Form
        form={form}
        failure={save.error}
        onChange={save.reset}
        onSubmit={() => save.mutate(bodyOf(form.hook.getValues()))}
        sx={columns}
      >
        <Mail.Text name="mailHost" label="Server" placeholder="mail.house.example" most={200} />
        <Mail.Measure name="mailPort" of="number" label="Port" required />
        <Mail.Choice
          name="mailSecurity"
          label="Encrypted"
          choices={{
            STARTTLS: 'from the greeting on (STARTTLS)',
            TLS: 'from the first word (TLS)',
            NONE: 'not; within the house only',
          }}
        />
        <Mail.Text name="mailFrom" type="email" label="From the address" most={120} />
        <Mail.Text name="mailUser" label="Name" most={200} autoComplete="off" />
        <TextField
          type="password"
          label="Password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          helperText={house.mailPasswordKept ? 'One is kept; type here to change it.' : undefined}
          slotProps={{ htmlInput: { maxLength: 200, autoComplete: 'new-password' } }}
        />
        <Save busy={save.isPending} failure={save.error}>
          Save mail server
        </Save>
      </Form>
      {house.mailHost && <TestButton channel="EMAIL" label="Send me a test by this server" />}
    </Part>
  );
}
