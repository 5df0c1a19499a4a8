import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import type { Schema } from '../api/client';
import { refresh } from '../api/house';
import { useDraft } from '../kit/drafts';
import { FormGrid } from '../kit/FormGrid';
import { Caution, ProblemNotice } from '../kit/Notices';
import { days, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { firstPack, daysByRule, leftThere, packBodies, weightOf, type PackText } from './draft';
import { Pick } from './Pick';
import { contents, keepings, wraps, type Content, type Source } from './words';

interface Props {
  title: string;
  /** Where its draft is kept. */
  draft: string;
  /** What may be packed of it; the first is offered. */
  choices: readonly [Content, ...Content[]];
  /** What lies there, in grams. */
  found: Partial<Record<Source, number>>;
  packed: Schema['PackView'][];
  stock: Schema['StockView'];
  /** Steaks that were weighed one by one, in grams. */
  weighed?: number[];
  put: (packs: Schema['PackForm'][]) => Promise<unknown>;
  onClose: () => void;
}

/** Packs what lies there: each weight a pack. */
export function PackDialog({
  title,
  draft,
  choices,
  found,
  packed,
  stock,
  weighed = [],
  put,
  onClose,
}: Props) {
  const units = useUnits();
  const [text, setText, clear] = useDraft<PackText>(draft, () => firstPack(stock.today, choices[0]));
  const save = useMutation({
    mutationFn: () => put(packBodies(text, units)),
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
  const left = leftThere(text, found, packed, units);
  const byRule = daysByRule(text, stock.rules);
  const words = Object.fromEntries(choices.map((each) => [each, contents[each]])) as Record<Content, string>;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="pack">
      <DialogTitle id="pack">{title}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <FormGrid onSubmit={(event) => event.preventDefault()}>
          <Pick
            label="What"
            value={text.content}
            choices={words}
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
            value={text.useBy}
            onChange={(event) => change({ useBy: event.target.value })}
            helperText={
              byRule > 0
                ? `your own rule says ${days(byRule)} from packing, unless you write a day`
                : 'you have no rule for this yet'
            }
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
          {weighed.length > 0 &&
            text.content === 'STEAK' &&
            text.weights.every((each) => each.text === '') && (
              <Button
                onClick={() =>
                  change({ weights: weighed.map((grams) => weightOf(units.weightForField(grams))) })
                }
              >
                Each steak as it was weighed
              </Button>
            )}
        </Box>
        <Typography role="status" sx={{ fontWeight: 620, color: left < 0 ? 'warning.main' : 'text.primary' }}>
          {left >= 0
            ? `${units.weight(left)} is left to pack.`
            : `${units.weight(-left)} more than there was.`}
        </Typography>
        <Caution of="OWN_PLAN" />
        <ProblemNotice failure={save.error} />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Later
        </Button>
        <Button
          variant="contained"
          disabled={save.isPending || packBodies(text, units).length === 0}
          onClick={() => save.mutate()}
        >
          Pack it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
