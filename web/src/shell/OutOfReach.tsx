import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { askAgain, refresh } from '../api/house';
import { useReached } from '../api/reach';
import { moment } from '../kit/units';

const ASK_EVERY_MS = 4_000;

/** Says that Elvaro does not answer, how old what is shown is, and what can be entered all the same. */
export function OutOfReach() {
  const reached = useReached();
  const client = useQueryClient();
  const [since, setSince] = useState<number | null>(null);
  const missed = useRef(false);
  useEffect(() => {
    if (reached) {
      if (missed.current) {
        missed.current = false;
        void refresh();
      }
      return;
    }
    missed.current = true;
    const look = () => {
      const shown = client
        .getQueryCache()
        .findAll({ type: 'active' })
        .map(({ state }) => state.dataUpdatedAt)
        .filter((at) => at > 0);
      setSince(shown.length > 0 ? Math.min(...shown) : null);
      void askAgain();
    };
    const first = setTimeout(look, 200);
    const timer = setInterval(look, ASK_EVERY_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [reached, client]);
  if (reached) {
    return null;
  }
  return (
    <Box
      role="status"
      className="no-print"
      sx={{ bgcolor: 'warning.main', color: 'warning.contrastText', px: { xs: 2, md: 4 }, py: 1 }}
    >
      <Typography sx={{ fontWeight: 620 }}>
        Elvaro does not answer.
        {since !== null && ` What you see is as of ${moment(new Date(since).toISOString())}.`}
      </Typography>
      <Typography variant="body2">
        Weights, looks, pulls and notes are kept on this device and sent later. All else must wait.
      </Typography>
    </Box>
  );
}
