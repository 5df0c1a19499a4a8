import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { useUnits } from '../kit/units';

/** What the pieces leave of the lot, as the server counts it. */
export function CuttingLoss({ lotId, grams }: { lotId: string; grams: number[] }) {
  const units = useUnits();
  const preview = useQuery({
    queryKey: ['split', lotId, grams],
    queryFn: () =>
      answer(api.GET('/api/lots/{id}/split', { params: { path: { id: lotId }, query: { grams } } })),
    enabled: grams.length > 0,
    placeholderData: (before) => before,
  });
  if (!preview.data || grams.length === 0) {
    return null;
  }
  const { lossGrams, question } = preview.data;
  const odd = lossGrams < 0 || question !== undefined;
  return (
    <Typography
      role="status"
      sx={{ fontSize: '1.25rem', fontWeight: 620, color: odd ? 'warning.main' : 'text.primary' }}
    >
      {lossGrams < 0
        ? `${units.weight(-lossGrams)} more than the lot weighs`
        : `${units.weight(lossGrams)} on no piece: cutting loss`}
    </Typography>
  );
}
