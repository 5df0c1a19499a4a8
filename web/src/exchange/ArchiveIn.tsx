import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Problem, readLines, sendBytes, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { DataTable } from '../kit/DataTable';
import { ProblemNotice } from '../kit/Notices';
import { FileButton } from '../kit/FileButton';
import { counted } from './past';
import { moment } from '../kit/units';

type Line = Schema['ArchiveLine'];
type Taken = Schema['ArchiveTaken'];

/** An archive comes in: tried, looked at, taken. */
export function ArchiveIn() {
  const [file, setFile] = useState<File | null>(null);
  const [share, setShare] = useState(0);
  const take = useMutation({
    mutationFn: async ({ of, dry }: { of: File; dry: boolean }) => {
      setShare(0);
      let last: Line | null = null;
      const response = await sendBytes(`/api/exchange/archive?dry=${dry}`, of, {
        method: 'POST',
        type: 'application/zip',
      });
      await readLines<Line>(response, (line) => {
        last = line;
        if (line.of > 0) {
          setShare((100 * line.done) / line.of);
        }
      });
      const end = last as Line | null;
      if (!end?.taken) {
        throw new Problem(422, {
          detail:
            end?.refused ?? 'The answer ended too soon. Try it again: what was taken in is not taken twice.',
        });
      }
      return end.taken;
    },
    onSuccess: (taken) => (taken.tried ? undefined : refresh()),
  });
  const taken = take.data;
  return (
    <Box sx={{ display: 'grid', gap: 2, justifyItems: 'start' }}>
      <FileButton
        label="Choose an archive"
        name="Archive of Elvaro"
        accept=".zip,application/zip"
        busy={take.isPending}
        onFile={(chosen) => {
          setFile(chosen);
          take.mutate({ of: chosen, dry: true });
        }}
      />
      {take.isPending && (
        <Box sx={{ width: '100%', maxWidth: 520 }}>
          <Typography role="status">
            {take.variables.dry ? 'Tried' : 'Taken in'}: {share.toFixed(0)} %
          </Typography>
          <LinearProgress variant="determinate" value={share} aria-label="How far it is read" />
        </Box>
      )}
      <ProblemNotice failure={take.error} />
      {taken && <Brought taken={taken} />}
      {taken?.tried && file && taken.tables.some(({ fresh }) => fresh > 0) && (
        <Button variant="contained" onClick={() => take.mutate({ of: file, dry: false })}>
          Take it in
        </Button>
      )}
    </Box>
  );
}

function Brought({ taken }: { taken: Taken }) {
  const fresh = taken.tables.reduce((sum, table) => sum + table.fresh, 0);
  const made = moment(taken.madeAt);
  return (
    <Box sx={{ display: 'grid', gap: 1.5, width: '100%' }}>
      {taken.tried ? (
        <Typography role="status" sx={{ fontWeight: 620 }}>
          {fresh === 0
            ? `The archive of ${taken.from}, made ${made}, brings nothing that is not here already.`
            : `The archive of ${taken.from}, made ${made}, would bring ${counted(fresh, 'new row')}. Nothing has changed yet.`}
        </Typography>
      ) : (
        <Alert severity="success" variant="outlined" role="status">
          Taken in from {taken.from}: {counted(fresh, 'row')}.
        </Alert>
      )}
      {taken.changes.map((change) => (
        <Typography key={change}>{change}</Typography>
      ))}
      <DataTable label="What the archive brings">
        <thead>
          <tr>
            <th scope="col">what</th>
            <th scope="col">new</th>
            <th scope="col">here already</th>
          </tr>
        </thead>
        <tbody>
          {taken.tables.map((table) => (
            <tr key={table.name}>
              <th scope="row" style={{ fontWeight: 400 }}>
                {table.about}
              </th>
              <td>{table.fresh || ''}</td>
              <td>{table.known || ''}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Box>
  );
}
