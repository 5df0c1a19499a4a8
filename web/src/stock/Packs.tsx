import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { usePacksOf, useStock } from '../api/queries';
import { LabelButton } from './LabelButton';
import { PackDialog } from './PackDialog';
import { PackTable } from './PackTable';

/** What a finished piece was packed into, and packing what is left. */
export function Packs({ bench }: { bench: Schema['BenchView'] }) {
  const packs = usePacksOf(bench.piece.card.id);
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
        <PackDialog bench={bench} packed={packs.data} stock={stock.data} onClose={() => setOpen(false)} />
      )}
    </Box>
  );
}
