import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { closenessWords, orderReasons, orderWords, type Closeness, type Order } from './words';

const orders: Order[] = ['SLICE_FIRST', 'TRIM_FIRST'];
const closenesses: Closeness[] = ['STRONGER', 'USUAL', 'MILDER'];

/** Both orders against three depths: what each is expected to give of this piece. One touch chooses. */
export function WaysToCut({ bench }: { bench: Schema['BenchView'] }) {
  const { card, benchOrder } = bench.piece;
  const choose = useMutation({
    mutationFn: (way: { order?: Order; closeness: Closeness; steaksOnBone?: boolean }) =>
      answer(
        api.PUT('/api/bench/{pieceId}/cutting', {
          params: { path: { pieceId: card.id } },
          body: { ...way, crustTenthsMm: bench.crustTenthsMm },
        }),
      ),
    onSuccess: refresh,
  });
  if (bench.choices.length === 0) {
    return <Typography>It hung with the whole animal: how deep its crust is shows at the block.</Typography>;
  }
  const most = Math.max(...bench.choices.map(({ steakGrams }) => steakGrams));
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box
        role="radiogroup"
        aria-label="How to cut"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'repeat(3, minmax(0, 1fr))', sm: '150px repeat(3, minmax(0, 1fr))' },
          gap: 1,
          alignItems: 'stretch',
        }}
      >
        <Box sx={{ display: { xs: 'none', sm: 'block' } }} />
        {closenesses.map((each) => (
          <Typography key={each} sx={{ fontWeight: 620, alignSelf: 'end' }}>
            {closenessWords[each].short}
            <Typography component="span" variant="body2" sx={{ display: 'block', color: 'text.secondary' }}>
              {closenessWords[each].taste}
            </Typography>
          </Typography>
        ))}
        {orders.map((order) => (
          <Box key={order} sx={{ display: 'contents' }}>
            <Typography
              sx={{ fontWeight: 620, alignSelf: 'center', gridColumn: { xs: '1 / -1', sm: 'auto' } }}
            >
              {orderWords[order]}
              <Typography component="span" variant="body2" sx={{ display: 'block', color: 'text.secondary' }}>
                {orderReasons[order]}
              </Typography>
            </Typography>
            {bench.choices
              .filter((choice) => choice.order === order)
              .map((choice) => (
                <Way
                  key={choice.closeness}
                  choice={choice}
                  most={most}
                  on={order === benchOrder && choice.closeness === bench.closeness}
                  busy={choose.isPending}
                  onChoose={() => choose.mutate({ order, closeness: choice.closeness })}
                />
              ))}
          </Box>
        ))}
      </Box>
      {card.boneIn && (
        <FormControlLabel
          control={
            <Checkbox
              checked={bench.steaksOnBone}
              disabled={choose.isPending}
              onChange={(_, steaksOnBone) =>
                choose.mutate({
                  order: benchOrder ?? undefined,
                  closeness: bench.closeness,
                  steaksOnBone,
                })
              }
            />
          }
          label="Steaks sawn through the bone, which stays on them"
        />
      )}
      <ProblemNotice failure={choose.error} />
    </Box>
  );
}

interface WayProps {
  choice: Schema['CutChoice'];
  most: number;
  on: boolean;
  busy: boolean;
  onChoose: () => void;
}

function Way({ choice, most, on, busy, onChoose }: WayProps) {
  const units = useUnits();
  const { order, closeness, steakGrams, trimGrams, perKgSteak } = choice;
  return (
    <ButtonBase
      role="radio"
      aria-checked={on}
      aria-label={`${orderWords[order]}, ${closenessWords[closeness].short}: ${units.weight(steakGrams)} of steak`}
      disabled={busy}
      onClick={onChoose}
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr)',
        justifyItems: 'start',
        justifyContent: 'stretch',
        alignContent: 'start',
        gap: 0.5,
        minHeight: 96,
        p: { xs: 0.75, sm: 1.25 },
        textAlign: 'left',
        border: '2px solid',
        borderColor: on ? 'primary.main' : 'divider',
        bgcolor: on ? 'background.paper' : 'transparent',
        '&.Mui-focusVisible': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      <Typography
        component="span"
        sx={{ fontSize: { xs: 15, sm: 22 }, fontWeight: 680, whiteSpace: 'nowrap' }}
      >
        {units.weight(steakGrams)}
      </Typography>
      <Box
        aria-hidden
        sx={{ height: 6, bgcolor: 'part.steak', width: `${(steakGrams / Math.max(1, most)) * 100}%` }}
      />
      <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
        trim {units.weight(trimGrams)}
        {perKgSteak != null && <br />}
        {perKgSteak != null && units.pricePer(perKgSteak)}
      </Typography>
    </ButtonBase>
  );
}
