import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { api } from '../api/client';
import { refresh } from '../api/house';
import { useMySessions } from '../api/settings';
import { ProblemNotice } from '../kit/Notices';
import { moment } from '../kit/units';
import { Part, PartLine } from './Part';

const MOST_SHOWN = 6;

/** Where one is signed in, each to be ended by itself. */
export function MySessions() {
  const sessions = useMySessions();
  const end = useMutation({
    mutationFn: (id: string | null) =>
      id ? api.DELETE('/api/me/sessions/{id}', { params: { path: { id } } }) : api.DELETE('/api/me/sessions'),
    onSettled: refresh,
  });
  return (
    <Part
      title="Where you are signed in"
      about="A device that is not used for two weeks is signed out, and each after ninety days."
    >
      {sessions.data?.slice(0, MOST_SHOWN).map(({ id, device, begunAt, usedAt, here }) => (
        <PartLine key={id}>
          <Typography sx={{ flex: 1, minWidth: 200 }}>
            <b>{here ? `${device}, this one` : device}</b>, since {moment(begunAt)}, used last{' '}
            {moment(usedAt)}
          </Typography>
          {!here && (
            <Button
              color="inherit"
              disabled={end.isPending}
              onClick={() => end.mutate(id)}
              aria-label={`Sign out the ${device.toLowerCase()} of ${moment(begunAt)}`}
            >
              Sign it out
            </Button>
          )}
        </PartLine>
      ))}
      {sessions.data && sessions.data.length > 1 && (
        <Button
          variant="outlined"
          disabled={end.isPending}
          onClick={() => end.mutate(null)}
          sx={{ justifySelf: 'start' }}
        >
          {sessions.data.length > MOST_SHOWN
            ? `Sign out everywhere else, ${sessions.data.length - 1} devices`
            : 'Sign out everywhere else'}
        </Button>
      )}
      <ProblemNotice failure={sessions.error ?? end.error} />
    </Part>
  );
}
