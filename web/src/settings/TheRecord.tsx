import Box from '@mui/material/Box';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { checkRecord } from '../api/settings';
import type { Schema } from '../api/client';
import { ProblemNotice } from '../kit/Notices';
import { moment } from '../kit/units';
import { Part } from './Part';

/** The record as a whole: whether it is what was written, and the ways out of the house. */
export function TheRecord() {
  const check = useMutation({ mutationFn: checkRecord });
  return (
    <Part
      title="The record"
      about="All that is kept can leave as files other programs read, and come back; a backup is made where Elvaro runs."
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" component={Link} to="/exchange">
          Export and import
        </Button>
        <Button variant="outlined" component={Link} to="/record/changes">
          What was changed
        </Button>
        <Button variant="outlined" loading={check.isPending} onClick={() => check.mutate()}>
          Check the record
        </Button>
      </Box>
      <ProblemNotice failure={check.error} />
      {check.data && <Found found={check.data} />}
    </Part>
  );
}

function Found({ found: { key, state } }: { found: Schema['Checked'] }) {
  const foreign = state.keys.filter((each) => each !== key);
  return (
    <Box role="status" sx={{ display: 'grid', gap: 1.5 }}>
      {state.faults.length === 0 ? (
        <Alert severity="success" variant="outlined">
          Every one of {state.links} rows of the record is as it was written and in its place.
        </Alert>
      ) : (
        <Alert severity="error" variant="outlined">
          <Typography sx={{ fontWeight: 620 }}>The record is not what was written.</Typography>
          {state.faults.map((fault) => (
            <Typography key={fault}>{fault}</Typography>
          ))}
        </Alert>
      )}
      <Typography sx={{ color: 'text.secondary' }}>
        {state.signedUntil
          ? `Signed last on ${moment(state.signedUntil)}. `
          : 'It is signed for the first time once a day is over. '}
        The key of this house is <b>{key}</b>: write it down where nobody who can reach the database can.
        {foreign.length > 0 && ` Signed with other keys too: ${foreign.join(', ')}.`}
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', overflowWrap: 'anywhere' }}>
        Hash of the last row: {state.head}
      </Typography>
    </Box>
  );
}
