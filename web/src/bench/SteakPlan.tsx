import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useSteaks } from '../api/bench';
import { useDraft } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { useDebouncedValue } from '../kit/debounced';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { Pick } from '../stock/Pick';

/** How long typing pauses before it is worked out again. */
const SETTLED_MS = 300;

interface PlanText {
  by: 'THICKNESS' | 'WEIGHT';
  thickness: string;
  weight: string;
  length: string;
  tool: 'KNIFE' | 'SAW';
  end: string;
}

/** How thick or how heavy each is to be, and how many come of it; ends go to roasts or to the grind. */
export function SteakPlan({ pieceId, boneIn }: { pieceId: string; boneIn: boolean }) {
  const units = useUnits();
  const [first] = useState<PlanText>(() => ({
    by: 'THICKNESS',
    thickness: units.lengthForField(30),
    weight: units.weightForField(350),
    length: '',
    tool: boneIn ? 'SAW' : 'KNIFE',
    end: units.lengthForField(15),
  }));
  const [text, setText] = useDraft<PlanText>(`steaks of ${pieceId}`, () => first);
  const change = (part: Partial<PlanText>) => setText((before) => ({ ...before, ...part }));
  const asked = useDebouncedValue(
    JSON.stringify({
      thicknessMm: text.by === 'THICKNESS' ? (units.readLength(text.thickness) ?? undefined) : undefined,
      gramsEach: text.by === 'WEIGHT' ? (units.readWeight(text.weight) ?? undefined) : undefined,
      lengthMm: units.readLength(text.length) ?? undefined,
      saw: text.tool === 'SAW',
      endMm: units.readLength(text.end) ?? 0,
    }),
    SETTLED_MS,
  );
  const steaks = useSteaks(pieceId, JSON.parse(asked) as Parameters<typeof useSteaks>[1]);
  const length = (key: 'thickness' | 'length' | 'end', label: string, helper?: string) => (
    <TextField
      size="small"
      label={`${label}, ${units.lengthUnit}`}
      value={text[key]}
      onChange={(event) => change({ [key]: event.target.value })}
      helperText={helper}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
  return (
    <Box component="section" aria-labelledby="steaks" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography id="steaks" variant="h2">
        Steaks
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(5, minmax(0, 1fr))' },
          gap: 1.25,
          alignItems: 'start',
        }}
      >
        <Pick
          label="Say"
          value={text.by}
          choices={{ THICKNESS: 'how thick', WEIGHT: 'how heavy' }}
          onChange={(by) => change({ by })}
        />
        {text.by === 'THICKNESS' ? (
          length('thickness', 'Thickness')
        ) : (
          <WeightField size="small" label="Each" text={text.weight} onText={(weight) => change({ weight })} />
        )}
        <Pick
          label="Cut with"
          value={text.tool}
          choices={{ KNIFE: 'a knife', SAW: 'a saw' }}
          onChange={(tool) => change({ tool })}
        />
        {length('end', 'Each end')}
        {length(
          'length',
          'Length',
          steaks.data ? `else ${units.thickness(steaks.data.lengthMm)}` : undefined,
        )}
      </Box>
      <ProblemNotice failure={steaks.error} />
      {steaks.data && !steaks.error && (
        <Typography role="status" sx={{ fontSize: '1.25rem', fontWeight: 640 }}>
          {steaks.data.count} {steaks.data.count === 1 ? 'steak' : 'steaks'} of{' '}
          {units.weight(Math.round(steaks.data.gramsEach))}, {units.thickness(steaks.data.thicknessMm)} thick
          <Typography component="span" sx={{ display: 'block', color: 'text.secondary' }}>
            ends {units.weight(Math.round(steaks.data.endsGrams))} for roasts or the grind, and{' '}
            {units.weight(Math.round(Math.max(0, steaks.data.leftOverGrams)))} too thin for one more
          </Typography>
        </Typography>
      )}
    </Box>
  );
}
