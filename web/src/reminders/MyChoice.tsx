import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { columns, Part } from '../settings/Part';
import { TestButton } from './TestButton';

type Choice = Schema['ChoiceForm'];
type Group = Schema['NoticeGroupView'];
type Ways = Choice['ways'];

/** By which a person is told. */
const ways = [
  ['EMAIL', 'E-mail'],
  ['PUSH', 'Phone'],
] as const;

interface Text {
  mail: string;
  zone: string;
  morningAt: string;
  quietFrom: string;
  quietTo: string;
  ownWorkOnly: boolean;
  ways: Ways;
}

const Mine = fieldsOf<Text>();

/** When and by what one is told of what. */
export function MyChoice({ mine }: { mine: Schema['MyNoticesView'] }) {
  const { choice, groups, mailServer } = mine;
  const form = useKeptForm<Text>(`notices ${choice.version}`, () => textOf(choice));
  const save = useMutation({
    mutationFn: (body: Choice) => answer(api.PUT('/api/me/notices', { body })),
    onSuccess: refresh,
  });
  const chosen = form.values.ways;
  const choose = (group: Group['group'], way: 'EMAIL' | 'PUSH', on: boolean) => {
    const before = chosen[group] ?? [];
    const after = on ? [...before, way] : before.filter((each) => each !== way);
    form.change({ ways: { ...chosen, [group]: after } });
    save.reset();
  };
  return (
    <Part
      title="How you are told"
      about="Once in the morning what is due and late; at once what cannot wait. In quiet hours nothing comes but the air of a chamber."
    >
      <Form
        form={form}
        failure={save.error}
        onChange={save.reset}
        onSubmit={() => save.mutate({ version: choice.version, ...form.hook.getValues() })}
        sx={columns}
      >
        <Mine.Text
          name="mail"
          type="email"
          label="E-mail"
          most={120}
          helper={mailServer ? undefined : 'The house has no mail server yet: nothing comes by mail.'}
        />
        <Mine.Text name="morningAt" type="time" label="Morning list at" required />
        <Mine.Text name="quietFrom" type="time" label="Quiet from" required />
        <Mine.Text name="quietTo" type="time" label="Quiet until" required />
        <Mine.Text name="zone" label="Another time zone" most={40} helper="Empty for that of the house." />
        <Mine.Check name="ownWorkOnly" label="Only my work, and what nobody keeps" />
        <Box className="whole" component="table" sx={{ borderCollapse: 'collapse', width: '100%' }}>
          <Box component="caption" sx={{ textAlign: 'left', typography: 'h3', pb: 0.5 }}>
            Of what, and by what
          </Box>
          <thead>
            <tr>
              <th aria-label="Of what" />
              {ways.map(([way, label]) => (
                <Box component="th" scope="col" key={way} sx={{ width: 84, typography: 'body2' }}>
                  {label}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {groups.map(({ group, label, about }) => (
              <Box component="tr" key={group} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
                <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 400, py: 1, pr: 1 }}>
                  <Typography sx={{ fontWeight: 620 }}>{label}</Typography>
                  <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {about}
                  </Typography>
                </Box>
                {ways.map(([way, by]) => (
                  <Box component="td" key={way} sx={{ textAlign: 'center' }}>
                    <Checkbox
                      checked={chosen[group]?.includes(way) ?? false}
                      onChange={(_, on) => choose(group, way, on)}
                      slotProps={{ input: { 'aria-label': `${label}, by ${by.toLowerCase()}` } }}
                      sx={{ width: 48, height: 48 }}
                    />
                  </Box>
                ))}
              </Box>
            ))}
          </tbody>
        </Box>
        <Save busy={save.isPending} failure={save.error}>
          Save how I am told
        </Save>
      </Form>
      {mailServer && <TestButton channel="EMAIL" label="Send me a test by mail" />}
    </Part>
  );
}

const hour = (time: string): string => time.slice(0, 5);

function textOf(choice: Choice): Text {
  return {
    mail: choice.mail,
    zone: choice.zone,
    morningAt: hour(choice.morningAt),
    quietFrom: hour(choice.quietFrom),
    quietTo: hour(choice.quietTo),
    ownWorkOnly: choice.ownWorkOnly,
    ways: choice.ways,
  };
}
