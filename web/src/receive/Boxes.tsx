import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState, type KeyboardEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { CameraButton } from '../kit/CameraButton';
import type { KeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { readBox, signOf, useScanner } from '../kit/scan';
import { date, useUnits, type Units } from '../kit/units';
import type { LotText } from './draft';

type Delivery = Schema['BoxesView'];

const byLabels = /^By the labels of /;

/** What the labels say, put into the fields; what a person chose or wrote about it stays. A sum without a box is none. */
const filled = (boxes: Delivery, text: LotText, units: Units): Partial<LotText> => ({
  weight: boxes.grams == null ? '' : units.weightForField(boxes.grams),
  ...(boxes.packedOn != null && { packedOn: boxes.packedOn }),
  ...(boxes.lots !== '' && { sourceTag: boxes.lots }),
  ...((text.note === '' || byLabels.test(text.note)) && { note: boxes.note }),
  ...(boxes.article != null && { article: boxes.article }),
  ...(boxes.known != null &&
    text.cutCode === '' && { cutCode: boxes.known.cutCode, boneIn: boxes.known.boneIn }),
  ...(boxes.known != null && text.grade === '' && { grade: boxes.known.grade }),
  ...(boxes.known != null && text.supplier === '' && { supplier: boxes.known.supplier }),
});

/** The labels of boxes that come in, scanned one after another: they say weight, days and lot. */
export function Boxes({ form }: { form: KeptForm<LotText> }) {
  const units = useUnits();
  const [typed, setTyped] = useState('');
  const [open, setOpen] = useState(false);
  const codes = form.values.codes;
  const read = useMutation({
    mutationFn: (all: string[]) => answer(api.POST('/api/boxes', { body: { codes: all } })),
    onSuccess: (boxes, all) => form.change({ codes: all, ...filled(boxes, form.hook.getValues(), units) }),
  });
  // One after the other: a box that is scanned while another is being read comes after it.
  const before = useRef<Promise<unknown>>(Promise.resolve());
  const add = (code: string) => {
    before.current = before.current.then(() =>
      read.mutateAsync([...form.hook.getValues('codes'), code]).catch(() => undefined),
    );
  };
  useScanner(readBox, add);
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      event.stopPropagation();
      if (typed.trim() !== '') {
        add(typed);
        setTyped('');
      }
    } else if (signOf(event) === '\u001d') {
      event.preventDefault();
      setTyped(typed + '\u001d');
    }
  };
  // Most come without one; a scanner is heard all the same.
  if (!open && codes.length === 0 && !read.error) {
    return (
      <Button
        color="inherit"
        onClick={() => setOpen(true)}
        sx={{ gridColumn: { sm: 'span 6' }, justifySelf: 'start' }}
      >
        It came in boxes with labels
      </Button>
    );
  }
  return (
    <Box
      component="section"
      aria-label="Labels of the boxes"
      sx={{ gridColumn: { sm: 'span 6' }, display: 'grid', gap: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start', flexWrap: 'wrap' }}>
        <TextField
          sx={{ flex: 1, minWidth: 220 }}
          label="Label of a box"
          autoFocus={open}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={onKeyDown}
          helperText="Scan it, or type what stands under the bars; Enter. Weight, days and lot are then filled in."
          autoComplete="off"
        />
        <CameraButton
          label="Scan a box"
          title="Scan the label of a box"
          read={readBox}
          none="That code is no label of a box."
          onScan={add}
        />
      </Box>
      <ProblemNotice failure={read.error} />
      {codes.length > 0 && (
        <Scanned
          codes={codes}
          boxes={read.data}
          onAgain={(all) => read.mutate(all)}
          onNone={() => form.change({ codes: [], article: '' })}
        />
      )}
    </Box>
  );
}

interface ScannedProps {
  codes: string[];
  /** As they were read last; absent after a reload. */
  boxes: Delivery | undefined;
  onAgain: (codes: string[]) => void;
  onNone: () => void;
}

function Scanned({ codes, boxes, onAgain, onNone }: ScannedProps) {
  const units = useUnits();
  if (!boxes) {
    return (
      <Button color="inherit" onClick={() => onAgain(codes)} sx={{ justifySelf: 'start' }}>
        {codes.length} codes were scanned before: read them again
      </Button>
    );
  }
  return (
    <Box role="status" sx={{ display: 'grid', gap: 0.5 }}>
      {boxes.boxes.map((box, index) => (
        <Typography key={index}>
          Box {index + 1}: {box.grams == null ? 'no weight' : units.weight(box.grams)}
          {box.lot != null && `, lot ${box.lot}`}
          {box.serial != null && `, no. ${box.serial}`}
        </Typography>
      ))}
      <Typography sx={{ fontWeight: 620 }}>
        {boxes.boxes.length} {boxes.boxes.length === 1 ? 'box' : 'boxes'}
        {boxes.grams != null && `, ${units.weight(boxes.grams)}`}
        {boxes.useBy != null && `, to be used by ${date(boxes.useBy)} as the seller says`}
      </Typography>
      {boxes.says && (
        <Typography sx={{ borderLeft: '3px solid', borderColor: 'warning.main', pl: 1.5, py: 0.5 }}>
          {boxes.says}
        </Typography>
      )}
      {boxes.article != null && !boxes.known && (
        <Typography sx={{ color: 'text.secondary' }}>
          Article {boxes.article} never came before. Choose its cut; it is known the next time.
        </Typography>
      )}
      <Button color="inherit" onClick={onNone} sx={{ justifySelf: 'start' }}>
        Begin again with the boxes
      </Button>
    </Box>
  );
}
