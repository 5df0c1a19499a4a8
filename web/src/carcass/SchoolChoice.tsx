import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { RadioButtons } from '../kit/RadioButtons';
import { useUnits } from '../kit/units';

type School = Schema['CarcassView']['school'];

const knives: [School['knife'], string][] = [
  ['SEAMS', 'Along the seams'],
  ['SAW', 'With the saw'],
];
const trims: [School['trim'], string][] = [
  ['NOW', 'Trim it now'],
  ['LATER', 'Freeze whole, trim later'],
];

/** How an animal is broken down, and what each way puts into the packs. */
export function SchoolChoice({ carcass }: { carcass: Schema['CarcassView'] }) {
  const units = useUnits();
  const { school, packed } = carcass;
  const choose = useMutation({
    mutationFn: (next: School) =>
      answer(
        api.PUT('/api/carcasses/{id}/school', {
          params: { path: { id: carcass.id } },
          body: { version: carcass.version, ...next },
        }),
      ),
    onSuccess: refresh,
  });
  if (!packed || carcass.card.state === 'PARTED') {
    return null;
  }
  const of = [
    packed.boneGrams > 0 && `${units.load(packed.boneGrams)} bone left in`,
    packed.laterGrams > 0 && `${units.load(packed.laterGrams)} to come off when it is thawed`,
  ].filter(Boolean);
  return (
    <Box component="section" aria-labelledby="school" sx={{ display: 'grid', gap: 1 }}>
      <Typography id="school" variant="h2">
        How it is broken down
      </Typography>
      <RadioButtons<School['knife']>
        label="Knife"
        value={school.knife}
        choices={knives}
        disabled={choose.isPending}
        onChange={(knife) => choose.mutate({ ...school, knife })}
      />
      <RadioButtons<School['trim']>
        label="Trim"
        value={school.trim}
        choices={trims}
        disabled={choose.isPending}
        onChange={(trim) => choose.mutate({ ...school, trim })}
      />
      <ProblemNotice failure={choose.error} />
      <Typography>
        Some {units.load(packed.packedGrams)} into packs{of.length > 0 && `, of it ${of.join(' and ')}`}; to
        eat, {units.load(packed.meatGrams)}.
      </Typography>
    </Box>
  );
}
