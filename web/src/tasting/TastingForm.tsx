import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { usePanelCheck } from '../api/tastings';
import { newId, useDraft } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { useDebouncedValue } from '../kit/debounced';
import { useUnits } from '../kit/units';
import { Asked } from './Asked';
import { firstText, missing, tastingBody, type Kind, type TastingText } from './draft';
import { PanelFields } from './PanelFields';
import { SampleFields } from './SampleFields';
import { Shows } from './Shows';

interface Props {
  trial: Schema['TrialView'] | null;
  choices: Schema['TastingChoices'];
  known: Schema['TasterView'][];
}

/** How long typing pauses before the panel is judged again. */
const SETTLED_MS = 400;

export function TastingForm({ trial, choices, known }: Props) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const [text, setText, clearText] = useDraft<TastingText>(`tasting of ${trial?.id ?? 'anything'}`, () =>
    firstText(trial, choices.attributes, units),
  );
  const [wrong, setWrong] = useState<string | null>(null);
  const body = tastingBody(text, units);
  const settled = useDebouncedValue(JSON.stringify(body.tasters.length > 0 ? body : null), SETTLED_MS);
  const checked = usePanelCheck(JSON.parse(settled) as Schema['TastingForm'] | null);
  const create = useMutation({
    mutationFn: () => answer(api.PUT('/api/tastings/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      clearText();
      await refresh();
      navigate(`/tastings/${id}`);
    },
  });
  const change = (part: Partial<TastingText>) => {
    setText((before) => ({ ...before, ...part }));
    setWrong(null);
    create.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const lacking = missing(text);
    setWrong(lacking);
    if (lacking === null) {
      create.mutate();
    }
  };
  const kind = choices.kinds.find((each) => each.kind === text.kind);
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 360px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
        <TextField
          label="The question, in words"
          placeholder="Is the honey coat liked more?"
          value={text.question}
          onChange={(event) => change({ question: event.target.value })}
          helperText="For you and the kitchen; no taster sees it."
          slotProps={{ htmlInput: { maxLength: 300 }, inputLabel: { shrink: true } }}
        />
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 160px' } }}>
          <TextField
            select
            label="What the tasters are asked"
            value={text.kind}
            onChange={(event) => change({ kind: event.target.value as Kind })}
          >
            {choices.kinds.map((each) => (
              <MenuItem key={each.kind} value={each.kind}>
                {each.label}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="Rounds"
            value={text.rounds}
            onChange={(event) => change({ rounds: Number(event.target.value) })}
          >
            {[1, 2, 3].map((rounds) => (
              <MenuItem key={rounds} value={rounds}>
                {rounds === 1 ? 'once' : rounds === 2 ? 'twice, new codes' : 'three times'}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        <SampleFields text={text} most={kind?.most ?? 6} fewest={kind?.fewest ?? 2} onChange={change} />
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
            <TextField
              select
              size="small"
              label="How"
              value={text.heat}
              onChange={(event) => change({ heat: event.target.value as TastingText['heat'] })}
            >
              {choices.heats.map((each) => (
                <MenuItem key={each.heat} value={each.heat}>
                  {each.label}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              size="small"
              label={`Core of every sample, ${units.temperatureUnit}`}
              value={text.core}
              onChange={(event) => change({ core: event.target.value })}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <TextField
              size="small"
              label="Rest, minutes"
              value={text.rest}
              onChange={(event) => change({ rest: event.target.value })}
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            />
            <TextField
              size="small"
              label="Seasoning, the same for all"
              value={text.seasoning}
              onChange={(event) => change({ seasoning: event.target.value })}
              sx={{ gridColumn: '1 / -1' }}
              slotProps={{ htmlInput: { maxLength: 200 } }}
            />
          </Box>
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gap: 2, position: { md: 'sticky' }, top: 16 }}>
        <Shows check={checked.data ?? null} />
        <ProblemNotice failure={create.error ?? checked.error} />
        {wrong && (
          <Typography role="alert" color="error">
            {wrong}
          </Typography>
        )}
        <Button type="submit" variant="contained" size="large" disabled={create.isPending}>
          Set the table
        </Button>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Codes and orders are drawn now and kept. Until the reveal only you see which code is what.
        </Typography>
      </Box>
    </Box>
  );
}
