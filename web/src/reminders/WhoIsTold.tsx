import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useColleagues } from '../api/notices';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber } from '../kit/units';
import { columns, Part } from '../settings/Part';

type House = Schema['HouseNoticesForm'];

interface Step {
  who: string;
  after: string;
}

interface Text {
  steps: Step[];
  warm: string;
  silent: string;
}

const words = {
  KEEPER: 'whoever keeps the chamber',
  OWNERS: 'the owners',
  EVERYBODY: 'everybody',
};

type Who = House['steps'][number]['who'];

const MOST = 8;
const Air = fieldsOf<Text>();

/** Who is told of the air of a chamber, one after another, and when it counts as wrong: to be read as a sentence. */
export function WhoIsTold({ house, sentences }: { house: House; sentences: string[] }) {
  const colleagues = useColleagues();
  const form = useKeptForm<Text>(`alarm steps ${house.version}`, () => textOf(house));
  const save = useMutation({
    mutationFn: (body: House) => answer(api.PUT('/api/notices/house', { body })),
    onSuccess: refresh,
  });
  const { steps } = form.values;
  const put = (next: Step[]) => {
    form.change({ steps: next });
    save.reset();
  };
  return (
    <Part
      title="When the air of a chamber is wrong"
      about="At once, day and night. Whoever is told says “I see to it”; as long as nobody does, the next one is told."
    >
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {sentences.map((sentence) => (
          <Typography key={sentence} component="li">
            {sentence}
          </Typography>
        ))}
      </Box>
      <Form
        form={form}
        failure={save.error}
        onChange={save.reset}
        onSubmit={() => save.mutate(bodyOf(form.hook.getValues(), house))}
        sx={{ display: 'grid', gap: 2 }}
      >
        {steps.map((step, index) => (
          <Box key={index} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
            <Typography sx={{ width: { xs: '100%', sm: 170 } }}>
              {index === 0 ? 'Told first:' : 'If nobody sees to it:'}
            </Typography>
            <TextField
              select
              fullWidth={false}
              size="small"
              label={index === 0 ? 'First' : `Then, ${index + 1}`}
              value={step.who}
              onChange={(event) =>
                put(steps.map((each, at) => (at === index ? { ...each, who: event.target.value } : each)))
              }
              sx={{ flex: '1 1 220px', maxWidth: 280 }}
            >
              {Object.entries(words).map(([who, label]) => (
                <MenuItem key={who} value={who}>
                  {label}
                </MenuItem>
              ))}
              {colleagues.data?.map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
            <Typography>after</Typography>
            <TextField
              fullWidth={false}
              size="small"
              label="Minutes"
              value={step.after}
              error={readNumber(step.after) === null}
              onChange={(event) =>
                put(steps.map((each, at) => (at === index ? { ...each, after: event.target.value } : each)))
              }
              slotProps={{
                htmlInput: { inputMode: 'numeric', 'aria-label': `Minutes before step ${index + 1}` },
              }}
              sx={{ width: 100 }}
            />
            {steps.length > 1 && (
              <Button
                color="inherit"
                onClick={() => put(steps.filter((_, at) => at !== index))}
                aria-label={`Take out step ${index + 1}`}
              >
                Take out
              </Button>
            )}
          </Box>
        ))}
        {steps.length < MOST && (
          <Button
            variant="outlined"
            color="inherit"
            onClick={() => put([...steps, { who: 'OWNERS', after: '15' }])}
            sx={{ justifySelf: 'start' }}
          >
            Then somebody else
          </Button>
        )}
        <Box sx={columns}>
          <Air.Measure
            name="warm"
            of="minutes"
            label="Too warm for so long"
            helper="A door and a defrosting are shorter."
            required
          />
          <Air.Measure
            name="silent"
            of="minutes"
            label="No word from a probe for so long"
            helper="A power cut is silent too."
            required
          />
        </Box>
        <Save busy={save.isPending} failure={save.error}>
          Save who is told
        </Save>
      </Form>
    </Part>
  );
}

function textOf(house: House): Text {
  return {
    steps: house.steps.map(({ who, personId, afterMinutes }) => ({
      who: personId ?? who,
      after: String(afterMinutes),
    })),
    warm: String(house.warmMinutes),
    silent: String(house.silentMinutes),
  };
}

function bodyOf(text: Text, house: House): House {
  return {
    ...house,
    steps: text.steps.map(({ who, after }) => ({
      ...(who in words ? { who: who as Who } : { who: 'PERSON' as Who, personId: who }),
      afterMinutes: Math.round(readNumber(after) ?? 0),
    })),
    warmMinutes: Math.round(readNumber(text.warm) ?? 0),
    silentMinutes: Math.round(readNumber(text.silent) ?? 0),
  };
}
