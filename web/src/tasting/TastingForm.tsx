import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { usePanelCheck } from '../api/tastings';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useDebouncedValue } from '../kit/debounced';
import { useUnits } from '../kit/units';
import { Asked } from './Asked';
import { firstText, tastingBody, tastingNames, type TastingText } from './draft';
import { PanelFields } from './PanelFields';
import { SampleFields } from './SampleFields';
import { Shows } from './Shows';

const Table = fieldsOf<TastingText>();

const rounds = { 1: 'once', 2: 'twice, new codes', 3: 'three times' };

interface Props {
  first: Schema['FirstTasting'];
  choices: Schema['TastingChoices'];
  known: Schema['TasterView'][];
}

/** How long typing pauses before the panel is judged again. */
const SETTLED_MS = 400;

/** What its draft is kept under. */
const ofWhat = ({ trialId, samples }: Props['first']) =>
  trialId ?? (samples.flatMap(({ pieceId }) => pieceId ?? []).join(' ') || 'anything');

export function TastingForm({ first, choices, known }: Props) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const form = useKeptForm<TastingText>(`tasting of ${ofWhat(first)}`, () => firstText(first, units));
  const { values: text, change } = form;
  const [wrong, setWrong] = useState<string | null>(null);
  const body = tastingBody(text, units);
  const settled = useDebouncedValue(JSON.stringify(body.tasters.length > 0 ? body : null), SETTLED_MS);
  const checked = usePanelCheck(JSON.parse(settled) as Schema['TastingForm'] | null);
  const create = useMutation({
    mutationFn: () => answer(api.PUT('/api/tastings/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      form.clear();
      await refresh();
      navigate(`/tastings/${id}`);
    },
  });
  const submit = () => {
    const lacking = body.tasters.length === 0 ? 'Say who tastes.' : null;
    setWrong(lacking);
    if (lacking === null) {
      create.mutate();
    }
  };
  const kind = choices.kinds.find((each) => each.kind === text.kind);
  return (
    <Form
      form={form}
      failure={create.error ?? checked.error}
      names={tastingNames}
      onChange={() => {
        setWrong(null);
        create.reset();
      }}
      onSubmit={submit}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 360px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
        <Table.Text
          name="question"
          label="The question, in words"
          placeholder="Is the honey coat liked more?"
          required="Put the question in words."
          helper="For you and the kitchen; no taster sees it."
          most={300}
        />
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 160px' } }}>
          <Table.Choice name="kind" label="What the tasters are asked">
            {choices.kinds.map((each) => (
              <MenuItem key={each.kind} value={each.kind}>
                {each.label}
              </MenuItem>
            ))}
          </Table.Choice>
          <Table.Choice name="rounds" label="Rounds" choices={rounds} />
        </Box>
        <SampleFields
          samples={text.samples}
          first={first}
          most={kind?.most ?? 6}
          fewest={kind?.fewest ?? 2}
          onChange={(samples) => change({ samples })}
        />
        {kind?.maySayScores && (
          <Asked
            usual={choices.attributes}
            chosen={text.attributes}
            onChange={(attributes) => change({ attributes })}
          />
        )}
        <PanelFields tasters={text.tasters} known={known} onChange={(tasters) => change({ tasters })} />
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
          <Typography component="legend" variant="h2" sx={{ p: 0, mb: 1.5 }}>
            Cooked alike
          </Typography>
          <Box
            sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr 1fr', sm: '1.4fr 1fr 1fr' } }}
          >
            <Table.Choice size="small" name="heat" label="How">
              {choices.heats.map((each) => (
                <MenuItem key={each.heat} value={each.heat}>
                  {each.label}
                </MenuItem>
              ))}
            </Table.Choice>
            <Table.Measure size="small" name="core" label="Core of every sample" of="temperature" required />
            <Table.Measure size="small" name="rest" label="Rest" of="minutes" required />
            {text.heat !== 'BATH' && (
              <Table.Measure size="small" name="fire" label="Heat of it (optional)" of="temperature" />
            )}
            <Table.Measure
              size="small"
              name="start"
              label="Meat as it is put on (optional)"
              of="temperature"
            />
            <Table.Text
              size="small"
              name="seasoning"
              label="Seasoning, the same for all"
              most={200}
              sx={{ gridColumn: '1 / -1' }}
            />
          </Box>
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gap: 2, position: { md: 'sticky' }, top: 16 }}>
        <Shows check={checked.data ?? null} />
        {wrong && (
          <Typography role="alert" color="error">
            {wrong}
          </Typography>
        )}
        <Save busy={create.isPending} failure={create.error ?? checked.error}>
          Set the table
        </Save>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Codes and orders are drawn now and kept. Until the reveal only you see which code is what.
        </Typography>
      </Box>
    </Form>
  );
}
