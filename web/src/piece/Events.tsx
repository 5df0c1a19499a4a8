import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { PieceView, Schema } from '../api/client';
import { useWriteEntry } from '../kit/entries';
import { ProblemNotice } from '../kit/Notices';
import { kindWords } from '../kit/words';
import type { EntryKind } from './EntryPanel';
import { MoveDialog } from './MoveDialog';

const events: Schema['EntryForm']['kind'][] = ['TURNED', 'RETIED', 'RESEALED', 'RESTED', 'TRIMMED'];

/** What happened to a hanging piece and is said with a touch, and what needs a word more. */
export function Events({ piece, onDo }: { piece: PieceView; onDo: (kind: EntryKind) => void }) {
  const { card } = piece;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [moving, setMoving] = useState(false);
  const write = useWriteEntry(card.id);
  const pick = (act: () => void) => {
    setAnchor(null);
    act();
  };
  const wrapped = card.method === 'MEMBRANE' || card.method === 'VACUUM';
  const shown = events.filter((kind) => wrapped || (kind !== 'RESEALED' && kind !== 'RESTED'));
  return (
    <>
      <Button
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        What happened …
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {shown.map((kind) => (
          <MenuItem
            key={kind}
            onClick={() =>
              pick(() =>
                write.mutate({
                  entry: { kind },
                  name: `${card.tag}: ${kindWords[kind]}`,
                  said: `${card.tag}: ${kindWords[kind].toLowerCase()}`,
                }),
              )
            }
          >
            {kindWords[kind]}
          </MenuItem>
        ))}
        <MenuItem onClick={() => pick(() => setMoving(true))}>Moved to another chamber …</MenuItem>
        <MenuItem onClick={() => pick(() => onDo('WITHDRAWN'))}>A slice taken …</MenuItem>
        <MenuItem onClick={() => pick(() => onDo('CUT_AWAY'))}>A bad part cut away …</MenuItem>
        <MenuItem onClick={() => pick(() => onDo('COAT_ON'))}>A coat put on …</MenuItem>
      </Menu>
      <ProblemNotice failure={write.error} />
      {moving && <MoveDialog piece={piece} onClose={() => setMoving(false)} />}
    </>
  );
}
