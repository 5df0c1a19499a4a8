import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { CableButton } from './CableButton';
import type { Shown, useScales } from './scale';

/** Which scale is used, how it is, and its tare. */
export function ScaleBar({ using, shown }: { using: ReturnType<typeof useScales>; shown: Shown | null }) {
  const units = useUnits();
  const { scales, scale, choose } = using;
  const tare = useMutation({
    mutationFn: (id: string) => answer(api.PUT('/api/scales/{id}/tare', { params: { path: { id } } })),
  });
  if (!scale) {
    return null;
  }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap', mb: 2 }}>
      {scales.length > 1 ? (
        <TextField
          select
          size="small"
          label="Scale"
          value={scale.id}
          onChange={(event) => choose(event.target.value)}
        >
          {scales.map((each) => (
            <MenuItem key={each.id} value={each.id}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
      ) : (
        <Typography sx={{ fontWeight: 620 }}>{scale.name}</Typography>
      )}
      <Typography sx={{ color: 'text.secondary' }}>
        {shown === null
          ? 'sends nothing: type the weight'
          : shown.tareGrams === 0
            ? 'sends its figure'
            : `less ${units.weight(shown.tareGrams)} of container`}
      </Typography>
      {shown && (
        <Button
          color="inherit"
          variant="outlined"
          disabled={!shown.steady || tare.isPending}
          onClick={() => tare.mutate(scale.id)}
        >
          Tare
        </Button>
      )}
      <CableButton scale={scale.id} />
      <ProblemNotice failure={tare.error} />
    </Box>
  );
}
