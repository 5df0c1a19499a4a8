import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { useTrackRecord } from '../api/compare';
import { refresh } from '../api/house';
import { DataTable } from '../kit/DataTable';
import { ProblemNotice } from '../kit/Notices';
import { percent } from '../kit/units';

type Record = Schema['TrackRecordView'];
type Contradiction = Schema['Contradiction'];

/** How good the forecasts were, by the day they were made, and which pieces the shop does not learn from. */
export function TrackRecord() {
  const record = useTrackRecord();
  if (!record.data || (record.data.weeks.length === 0 && record.data.contradictions.length === 0)) {
    return <ProblemNotice failure={record.error} />;
  }
  return (
    <Box
      component="section"
      aria-labelledby="track"
      sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Typography id="track" variant="h2">
        How good the forecasts were
      </Typography>
      {record.data.weeks.length > 0 && <Weeks weeks={record.data.weeks} />}
      {record.data.contradictions.length > 0 && <Contradictions pieces={record.data.contradictions} />}
    </Box>
  );
}

function Weeks({ weeks }: { weeks: Record['weeks'] }) {
  return (
    <Box>
      <Typography sx={{ mb: 1, maxWidth: 760 }}>
        Each finished piece, forecast again from what was known on its first day and every week after. Of five
        pulls four are meant to lie within the band.
      </Typography>
      <DataTable list label="How good the forecasts were" sx={{ maxWidth: 760 }}>
        <thead>
          <tr>
            <th scope="col">made</th>
            <th scope="col">forecasts</th>
            <th scope="col">within the band</th>
            <th scope="col">half were off by less than</th>
            <th scope="col">a straight line by</th>
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week.day}>
              <Box component="th" scope="row">
                {week.day === 0 ? 'as it was hung' : `on day ${week.day}`}
              </Box>
              <td>{week.forecasts}</td>
              <td>{`${week.held}, ${percent(week.held / week.forecasts)}`}</td>
              <td>{percent(week.medianMiss)}</td>
              <td>{week.medianMissOfLine == null ? 'not weighed yet' : percent(week.medianMissOfLine)}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Box>
  );
}

function Contradictions({ pieces }: { pieces: Contradiction[] }) {
  const teach = useMutation({
    mutationFn: ({ pieceId, version, counts }: Contradiction) =>
      answer(
        api.PUT('/api/pieces/{id}/teaches', {
          params: { path: { id: pieceId } },
          body: { version, counts: !counts },
        }),
      ),
    onSuccess: refresh,
  });
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 1 }}>
        Pieces that contradict the rest
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 1.5 }}>
        {pieces.map((piece) => (
          <Box
            component="li"
            key={piece.pieceId}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', maxWidth: 900 }}
          >
            <Typography sx={{ flex: '1 1 320px' }}>
              <MuiLink component={Link} to={`/pieces/${piece.pieceId}`}>
                {piece.tag}
              </MuiLink>{' '}
              {piece.counts ? 'counts all the same.' : 'is left out of what is learnt.'} {piece.reason}
            </Typography>
            <Button variant="outlined" disabled={teach.isPending} onClick={() => teach.mutate(piece)}>
              {piece.counts ? `Leave ${piece.tag} out again` : `Let ${piece.tag} count`}
            </Button>
          </Box>
        ))}
      </Box>
      <ProblemNotice failure={teach.error} />
    </Box>
  );
}
