import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';

type Tasting = Schema['TastingView'];

/** The two deliberate acts of a host: letting the phones in, and the reveal. */
export function OpenOrReveal({ tasting }: { tasting: Tasting }) {
  const [asking, setAsking] = useState(false);
  const act = useMutation({
    mutationFn: (what: 'open' | 'reveal') =>
      answer(
        api.PUT(what === 'open' ? '/api/tastings/{id}/open' : '/api/tastings/{id}/reveal', {
          params: { path: { id: tasting.id } },
          body: { version: tasting.version },
        }),
      ),
    onSuccess: async () => {
      setAsking(false);
      await refresh();
    },
  });
  const sheets = tasting.places.flatMap(({ arrived }) => arrived);
  const there = sheets.filter(Boolean).length;
  const planned = tasting.state === 'PLANNED';
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 3 }}>
      <Typography role="status" sx={{ fontSize: '1.6rem', fontWeight: 640 }}>
        {planned
          ? 'The table is set.'
          : there === sheets.length
            ? there === 1
              ? 'The one sheet is in.'
              : `All ${sheets.length} sheets are in.`
            : `${there} of ${sheets.length} sheets are in.`}
      </Typography>
      {tasting.mine && (
        <Button
          variant={planned || there === sheets.length ? 'contained' : 'outlined'}
          size="large"
          disabled={act.isPending}
          onClick={() => (planned ? act.mutate('open') : setAsking(true))}
        >
          {planned ? 'Let the tasting begin' : 'Reveal'}
        </Button>
      )}
      {!asking && <ProblemNotice failure={act.error} />}
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="reveal">
        <DialogTitle id="reveal">Reveal what was what?</DialogTitle>
        <DialogContent>
          <Typography>
            {there < sheets.length
              ? `${sheets.length - there} of ${sheets.length} answers are missing, and cannot be given any more.`
              : 'Everybody has answered.'}{' '}
            Afterwards nothing is changed: not the answers, not the cores.
          </Typography>
          <ProblemNotice failure={act.error} />
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={() => setAsking(false)}>
            Not yet
          </Button>
          <Button autoFocus variant="contained" disabled={act.isPending} onClick={() => act.mutate('reveal')}>
            Reveal it now
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  );
}
