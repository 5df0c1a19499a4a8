import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import useMediaQuery from '@mui/material/useMediaQuery';
import Button from '@mui/material/Button';
import type { Schema } from '../api/client';
import { usePiece } from '../api/pieces';
import { Waiting } from '../kit/Page';
import { kindWords } from '../kit/words';
import { useScale, useScales } from '../weigh/scale';
import { EntryPanel, type EntryKind } from './EntryPanel';
import { useAwake } from '../kit/wake';

interface Props {
  pieceId: string;
  kind: EntryKind;
  corrects?: Schema['EntryView'];
  onClose: () => void;
}

const titles: Record<EntryKind, string> = {
  WEIGHED: 'Weigh',
  PULLED: 'Pull',
  UNWRAPPED: 'Without wrap and string',
  WITHDRAWN: 'Take a slice',
  CUT_AWAY: 'Cut a bad part away',
  COAT_ON: 'Put a coat or seal on',
  COAT_OFF: 'Take the coat or seal off',
  NOTE: 'Note',
};

export function EntryDialog({ pieceId, kind, corrects, onClose }: Props) {
  useAwake();
  const piece = usePiece(pieceId);
  const shown = useScale(useScales().scale?.id);
  const fromScale = shown && !corrects && kind !== 'NOTE';
  const phone = useMediaQuery('(max-width:600px)');
  const title = corrects ? `Correct: ${kindWords[kind].toLowerCase()}` : titles[kind];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" fullScreen={phone} aria-labelledby="entry-title">
      <DialogTitle id="entry-title" sx={{ display: 'flex', alignItems: 'center', typography: 'h2' }}>
        <span style={{ flex: 1 }}>{title}</span>
        <Button onClick={onClose} color="inherit">
          Close
        </Button>
      </DialogTitle>
      <DialogContent>
        {piece.data ? (
          <EntryPanel
            piece={piece.data}
            kind={kind}
            corrects={corrects}
            onSaved={onClose}
            scale={fromScale ? { shown, keptLaying: 0 } : undefined}
          />
        ) : (
          <Waiting failure={piece.error} />
        )}
      </DialogContent>
    </Dialog>
  );
}
