import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schema } from '../api/client';
import { refresh, useSession } from '../api/house';
import { DataTable } from '../kit/DataTable';
import { ProblemNotice } from '../kit/Notices';

type Taster = Schema['TasterView'];

const of = (count: number, all: number): string => (all === 0 ? 'none yet' : `${count} of ${all}`);

/** Who tastes for this shop, and how they agree: for the shop only. */
export function Panel({ tasters }: { tasters: Taster[] }) {
  const mayForget = useSession().data?.me?.role === 'OWNER';
  const [leaving, setLeaving] = useState<Taster | null>(null);
  if (tasters.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="panel">
      <Typography id="panel" variant="h2" sx={{ mb: 0.5 }}>
        The panel
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1, maxWidth: 720 }}>
        Who often stands apart is not wrong: tongues differ. Who says otherwise the second time tells you
        less. It is kept for this shop only, and no taster sees it.
      </Typography>
      <DataTable list label="Tasters">
        <thead>
          <tr>
            <th scope="col">Taster</th>
            <th scope="col">Tastings</th>
            <th scope="col">Sided with most</th>
            <th scope="col">Said the same twice</th>
            <th scope="col">Found the odd one</th>
            {mayForget && <th scope="col" aria-label="Forget" />}
          </tr>
        </thead>
        <tbody>
          {tasters.map((taster) => (
            <tr key={taster.id}>
              <th scope="row">{taster.name}</th>
              <td>{taster.sittings}</td>
              <td>{of(taster.agreed, taster.judged)}</td>
              <td>{of(taster.same, taster.repeated)}</td>
              <td>{of(taster.found, taster.tried)}</td>
              {mayForget && (
                <td>
                  <Button
                    size="small"
                    color="inherit"
                    aria-label={`Forget ${taster.name}`}
                    onClick={() => setLeaving(taster)}
                  >
                    Forget
                  </Button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </DataTable>
      {leaving && <Forget taster={leaving} onClose={() => setLeaving(null)} />}
    </Box>
  );
}

function Forget({ taster, onClose }: { taster: Taster; onClose: () => void }) {
  const forget = useMutation({
    mutationFn: () =>
      api.PUT('/api/tastings/tasters/{id}/forget', {
        params: { path: { id: taster.id } },
        body: { version: taster.version },
      }),
    onSuccess: async () => {
      await refresh();
      onClose();
    },
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="forget">
      <DialogTitle id="forget">Forget {taster.name}?</DialogTitle>
      <DialogContent>
        The name is taken away everywhere and for good. What was answered stays in the counts and is
        nobody&apos;s.
        <ProblemNotice failure={forget.error} />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Keep the name
        </Button>
        <Button
          autoFocus
          variant="contained"
          color="warning"
          disabled={forget.isPending}
          onClick={() => forget.mutate()}
        >
          Forget the name
        </Button>
      </DialogActions>
    </Dialog>
  );
}
