import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { refresh } from '../api/house';
import { addPasskey, myPasskeys, passkeysPossible, removePasskey } from '../api/passkeys';
import { useMySessions } from '../api/settings';
import { ProblemNotice } from '../kit/Notices';
import { moment } from '../kit/units';
import { Part, PartLine } from './Part';

/** Passkeys: the finger or the face instead of the password. */
export function MyPasskeys() {
  const keys = useQuery({ queryKey: ['my passkeys'], queryFn: myPasskeys });
  const here = useMySessions().data?.find((session) => session.here);
  const add = useMutation({ mutationFn: () => addPasskey(here?.device ?? 'Device'), onSuccess: refresh });
  const remove = useMutation({ mutationFn: removePasskey, onSettled: refresh });
  return (
    <Part
      title="Passkeys"
      about="A second way in beside the password: what unlocks your device signs you in, and nothing can be guessed."
    >
      {keys.data?.map(({ id, label, createdAt, usedAt }) => (
        <PartLine key={id}>
          <Typography sx={{ flex: 1, minWidth: 200 }}>
            <b>{label}</b>, made {moment(createdAt)}, used last {moment(usedAt)}
          </Typography>
          <Button
            color="inherit"
            disabled={remove.isPending}
            onClick={() => remove.mutate(id)}
            aria-label={`Remove the passkey of ${moment(createdAt)}`}
          >
            Remove
          </Button>
        </PartLine>
      ))}
      <ProblemNotice failure={keys.error ?? add.error ?? remove.error} />
      {passkeysPossible() ? (
        <Button
          variant="outlined"
          loading={add.isPending}
          onClick={() => add.mutate()}
          sx={{ justifySelf: 'start' }}
        >
          Make a passkey on this device
        </Button>
      ) : (
        <Typography sx={{ color: 'text.secondary' }}>
          At this address a browser makes none: the house needs a name and a safe connection (https).
        </Typography>
      )}
    </Part>
  );
}
