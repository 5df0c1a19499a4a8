import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState, type ReactNode } from 'react';
import type { Schema } from '../api/client';
import { useLooks } from '../api/pieces';
import { moment, useUnits } from '../kit/units';
import { Answer } from '../look/Answer';
import { LookPanel } from '../look/LookPanel';
import { answers } from '../look/words';
import { EntryPanel } from '../piece/EntryPanel';
import type { Shown } from '../weigh/scale';
import { DiscardRest } from './DiscardRest';
import { SteakPlan } from './SteakPlan';
import { WaysToCut } from './WaysToCut';
import { closenessWords, orderWords } from './words';

interface Props {
  bench: Schema['BenchView'];
  shown: Shown | null;
}

type Step = 'smell' | 'wrap' | 'cut';

/** The last look since it was taken down. */
function useLookSincePull({ card, log }: Schema['PieceView']) {
  const looks = useLooks(card.id);
  const pulledAt = log.find(({ kind, stands }) => kind === 'PULLED' && stands)?.happenedAt ?? '';
  return {
    known: looks.data !== undefined && pulledAt !== '',
    look: looks.data?.find(({ stands, at }) => stands && at >= pulledAt),
  };
}

/** Said of a closed bench where the first step was left out. */
export function NobodySmelled({ piece }: { piece: Schema['PieceView'] }) {
  const { known, look } = useLookSincePull(piece);
  return known && !look ? (
    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
      Nobody noted how it smelled and looked after it was taken down.
    </Typography>
  ) : null;
}

/** What comes before the knife: smell and look, take the wrap off, choose how to cut. Each opens by a touch. */
export function BeforeTheKnife({ bench, shown }: Props) {
  const units = useUnits();
  const { card, benchOrder } = bench.piece;
  const { look } = useLookSincePull(bench.piece);
  const [open, setOpen] = useState<Step | null>(null);
  const close = () => setOpen(null);
  const smelled = bench.smellAgainAt
    ? `rests, smell again ${moment(bench.smellAgainAt)}`
    : look
      ? answers[look.answer].toLowerCase()
      : 'not yet: first of all';
  return (
    <Box
      component="section"
      aria-label="Before the knife"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(3, minmax(0, 1fr))' },
        gap: 1.25,
      }}
    >
      <StepButton
        name="Smell and look"
        state={smelled}
        asks={!look || look.answer !== 'CARRY_ON' || Boolean(bench.smellAgainAt)}
        onOpen={() => setOpen('smell')}
      />
      <StepButton
        name="Wrap and string"
        state={bench.wrapGrams == null ? 'not weighed' : `${units.weight(bench.wrapGrams)} taken off`}
        onOpen={() => setOpen('wrap')}
      />
      <StepButton
        name="How to cut"
        state={`${benchOrder ? orderWords[benchOrder] : 'not chosen'}, ${closenessWords[bench.closeness].short}`}
        onOpen={() => setOpen('cut')}
      />
      {open === 'smell' && (
        <StepDialog title={`Smell and look, ${card.tag}`} onClose={close}>
          <Smell bench={bench} look={look} onDone={close} />
        </StepDialog>
      )}
      {open === 'wrap' && (
        <StepDialog title="Without wrap and string" onClose={close}>
          <EntryPanel
            piece={bench.piece}
            kind="UNWRAPPED"
            onSaved={close}
            scale={shown ? { shown, keptLaying: 0 } : undefined}
          />
        </StepDialog>
      )}
      {open === 'cut' && (
        <StepDialog title="How to cut" onClose={close}>
          <Box sx={{ display: 'grid', gap: 3 }}>
            <WaysToCut bench={bench} />
            <SteakPlan pieceId={card.id} boneIn={card.boneIn} />
          </Box>
        </StepDialog>
      )}
    </Box>
  );
}

function Smell({
  bench,
  look,
  onDone,
}: {
  bench: Schema['BenchView'];
  look: Schema['LookView'] | undefined;
  onDone: () => void;
}) {
  const [again, setAgain] = useState(false);
  const { card } = bench.piece;
  if (!look || again) {
    return <LookPanel piece={bench.piece} onKept={() => setAgain(false)} />;
  }
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Answer look={look} pieceId={card.id} tag={card.tag} discard={<DiscardRest bench={bench} />} atBench />
      {bench.smellAgainAt && (
        <Typography sx={{ fontWeight: 620 }}>
          It rests unwrapped in the cold. Smell it again {moment(bench.smellAgainAt)}; it stands in the Room
          then.
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" size="large" onClick={onDone}>
          To the bench
        </Button>
        <Button color="inherit" onClick={() => setAgain(true)}>
          Look again
        </Button>
      </Box>
    </Box>
  );
}

interface StepProps {
  name: string;
  state: string;
  /** Whether it is what is to be done first. */
  asks?: boolean;
  onOpen: () => void;
}

function StepButton({ name, state, asks = false, onOpen }: StepProps) {
  return (
    <Button
      color="inherit"
      onClick={onOpen}
      sx={{
        display: 'block',
        textAlign: 'left',
        minHeight: 64,
        px: 1.5,
        py: 1,
        border: '1px solid',
        borderLeft: '6px solid',
        borderColor: 'divider',
        borderLeftColor: asks ? 'warning.main' : 'primary.main',
        bgcolor: 'background.paper',
      }}
    >
      <Typography component="span" sx={{ display: 'block', fontWeight: 640 }}>
        {name}
      </Typography>
      <Typography component="span" variant="body2" sx={{ display: 'block', color: 'text.secondary' }}>
        {state}
      </Typography>
    </Button>
  );
}

function StepDialog({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const phone = useMediaQuery('(max-width:600px)');
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" fullScreen={phone} aria-labelledby="step">
      <DialogTitle id="step" sx={{ display: 'flex', alignItems: 'center', typography: 'h2' }}>
        <span style={{ flex: 1 }}>{title}</span>
        <Button color="inherit" onClick={onClose}>
          Close
        </Button>
      </DialogTitle>
      <DialogContent>{children}</DialogContent>
    </Dialog>
  );
}
