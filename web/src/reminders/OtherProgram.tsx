import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { AskFirst } from '../kit/AskFirst';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { ProblemNotice } from '../kit/Notices';
import { columns, Part } from '../settings/Part';
import { TestButton } from './TestButton';

type House = Schema['HouseNoticesForm'];
type Group = Schema['NoticeGroupView'];

interface Text {
  hookAddress: string;
  hookGroups: House['hookGroups'];
}

const Hook = fieldsOf<Text>();

/** A program of the house that is called with what is told: a light, a siren, a hub. */
export function OtherProgram({ house, groups }: { house: House; groups: Group[] }) {
  const form = useKeptForm<Text>(`other program ${house.version}`, () => ({
    hookAddress: house.hookAddress,
    hookGroups: house.hookGroups,
  }));
  const save = useMutation({
    mutationFn: (body: House) => answer(api.PUT('/api/notices/house', { body })),
    onSuccess: refresh,
  });
  const secret = useMutation({
    mutationFn: () => answer(api.POST('/api/notices/house/hook-secret')),
    onSuccess: refresh,
  });
  const { hookGroups } = form.values;
  const choose = (group: Group['group'], on: boolean) => {
    form.change({
      hookGroups: on ? [...hookGroups, group] : hookGroups.filter((each) => each !== group),
    });
    save.reset();
  };
  return (
    <Part
      title="Another program"
      about="Called over HTTP with what is told, as signed JSON: for a light in the yard, a hub, a list of your own. docs/webhook.md says how."
    >
      <Form
        form={form}
        failure={save.error}
        onChange={save.reset}
        onSubmit={() => save.mutate({ ...house, ...form.hook.getValues() })}
        sx={columns}
      >
        <Hook.Text
          name="hookAddress"
          label="Its address"
          placeholder="https://hub.house.example/elvaro"
          className="whole"
          most={500}
        />
        <Box className="whole" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
          {groups.map(({ group, label }) => (
            <FormControlLabel
              key={group}
              label={label}
              control={
                <Checkbox checked={hookGroups.includes(group)} onChange={(_, on) => choose(group, on)} />
              }
            />
          ))}
        </Box>
        <Save busy={save.isPending} failure={save.error}>
          Save program
        </Save>
      </Form>
      {house.hookAddress && (
        <AskFirst
          label={house.hookSecretMade ? 'Make a new secret' : 'Make its secret'}
          warning={
            house.hookSecretMade
              ? 'The program no longer knows what is signed with the old one.'
              : 'It is shown once. Nothing is sent until there is one.'
          }
          busy={secret.isPending}
          onYes={() => secret.mutate()}
        />
      )}
      {secret.data && (
        <Typography role="status" sx={{ overflowWrap: 'anywhere' }}>
          Give the program this secret now; it is not shown again: <strong>{secret.data.secret}</strong>
        </Typography>
      )}
      {house.hookAddress && house.hookSecretMade && (
        <TestButton channel="WEBHOOK" label="Call it with a test" />
      )}
      <ProblemNotice failure={secret.error} />
    </Part>
  );
}
