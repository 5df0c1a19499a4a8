import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/queries';
import { useDraft } from '../kit/drafts';
import { FormGrid } from '../kit/FormGrid';
import { Caution, ProblemNotice } from '../kit/Notices';
import { date, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { firstPack, lastDay, leftOnPile, packBodies, weightOf, type PackText } from './draft';
import { Pick } from './Pick';
import { contents, keepings, wraps } from './words';

interface Props {
  bench: Schema['BenchView'];
  packed: Schema['PackView'][];
  stock: Schema['StockView'];
  onClose: () => void;
}

/** Packs what lies on a pile: each weight a pack. */
export function PackDialog({ bench, packed, stock, onClose }: Props) {
  const units = useUnits();
  const { card, ledger } = bench.piece;
  const [text, setText, clear] = useDraft<PackText>(`packs of ${card.id}`, () => firstPack(stock.today));
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/pieces/{pieceId}/packs', {
          params: { path: { pieceId: card.id } },
          body: { packs: packBodies(text, stock.rules, units) },
        }),
      ),
    onSuccess: async () => {
      clear();
      await refresh();
      onClose();
    },
  });
  const change = (part: Partial<PackText>) => {
    save.reset();
    setText((before) => ({ ...before, ...part }));
  };
  const left = leftOnPile(text, ledger.piles, packed, units);
  const byRule = lastDay(text, stock.rules);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="pack">
      <DialogTitle id="pack">Pack {card.tag}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <FormGrid onSubmit={(event) => event.preventDefault()}>
          <Pick
            label="What"
            value={text.content}
            choices={contents}
            onChange={(content) => change({ content })}
          />
          <Pick label="In" value={text.wrap} choices={wraps} onChange={(wrap) => change({ wrap })} />
          <Pick
            label="Kept"
            value={text.keeping}
            choices={keepings}
            onChange={(keeping) => change({ keeping })}
          />
          <TextField
            size="small"
            label="Where"
            value={text.place}
            onChange={(event) => change({ place: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <TextField
            size="small"
            type="date"
            label="Packed"
            value={text.packedOn}
            onChange={(event) => change({ packedOn: event.target.value })}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <TextField
            size="small"
            type="date"
            label="Use by"
            value={text.useBy || byRule}
            onChange={(event) => change({ useBy: event.target.value })}
            helperText={byRule ? `your own rule says ${date(byRule)}` : 'you have no rule for this yet'}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        </FormGrid>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1.5 }}>
          {text.weights.map((each, index) => (
            <WeightField
              key={each.id}
              size="small"
              autoFocus={index === text.weights.length - 1}
              label={`Pack ${index + 1}`}
              text={each.text}
              onText={(typed) =>
                change({
                  weights: text.weights.map((one) => (one.id === each.id ? { ...one, text: typed } : one)),
                })
              }
            />
          ))}
          <Button onClick={() => change({ weights: [...text.weights, weightOf()] })}>One pack more</Button>
        </Box>
        <Typography role="status" sx={{ fontWeight: 620, color: left < 0 ? 'warning.main' : 'text.primary' }}>
          {left >= 0
            ? `${units.weight(left)} is left on the pile.`
            : `${units.weight(-left)} more than the pile held.`}
        </Typography>
        <Caution rule="shop">
          How long a pack may be used is your own written plan&apos;s to say. Local law and a licensed
          practitioner decide.
        </Caution>
        <ProblemNotice failure={save.error} />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Later
        </Button>
        <Button
          variant="contained"
          disabled={save.isPending || packBodies(text, stock.rules, units).length === 0}
          onClick={() => save.mutate()}
        >
          Pack it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
