import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { usePacksOf, useStock } from '../api/stock';
import { LabelButton } from './LabelButton';
import { PackDialog } from './PackDialog';
import { PackTable } from './PackTable';
import { ofPieces } from './words';

/** What a finished piece was packed into, and packing what is left. */
export function Packs({ bench }: { bench: Schema['BenchView'] }) {
  const { card, log } = bench.piece;
  const packs = usePacksOf(card.id);
  const stock = useStock();
  const [open, setOpen] = useState(false);
  if (!packs.data || !stock.data) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="packs">
      <Typography id="packs" variant="h2" sx={{ mb: 1 }}>
        Packs
      </Typography>
      {packs.data.length > 0 && <PackTable packs={packs.data} today={stock.data.today} />}
      <Box className="no-print" sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={() => setOpen(true)}>
          Pack it
        </Button>
        {packs.data.length > 0 && <LabelButton packs={packs.data.map(({ id }) => id)} />}
      </Box>
      {open && (
        <PackDialog
          title={`Pack ${card.tag}`}
          draft={`packs of ${card.id}`}
          choices={ofPieces}
          of={{ pieceId: card.id }}
          stock={stock.data}
          weighed={log
            .filter(({ kind, stands, steaks }) => kind === 'PILE' && stands && steaks === 1)
            .map(({ grams }) => grams)}
          untrimmed={log.some(({ stands, untrimmed }) => stands && untrimmed)}
          put={(made) =>
            answer(
              api.PUT('/api/pieces/{pieceId}/packs', {
                params: { path: { pieceId: card.id } },
                body: { packs: made },
              }),
            )
          }
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}
