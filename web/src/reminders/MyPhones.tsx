import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { connectThisPhone, thisPhone, whyNoPush } from '../kit/push';
import { moment } from '../kit/units';
import { Part, PartLine } from '../settings/Part';
import { TestButton } from './TestButton';

/** Browsers that show one's messages, and this one. */
export function MyPhones({ mine }: { mine: Schema['MyNoticesView'] }) {
  const here = useQuery({
    queryKey: ['this phone'],
    queryFn: async () => (await thisPhone()) ?? '',
    retry: false,
  });
  const connect = useMutation({
    mutationFn: () => connectThisPhone(mine.pushKey),
    onSettled: () => Promise.all([here.refetch(), refresh()]),
  });
  const remove = useMutation({
    mutationFn: (id: string) => api.DELETE('/api/me/phones/{id}', { params: { path: { id } } }),
    onSettled: refresh,
  });
  const why = whyNoPush();
  const isHere = mine.phones.some(({ endpoint }) => endpoint === here.data);
  return (
    <Part
      title="Your phones"
      about="A phone or computer on which Elvaro was opened shows messages also while it is shut, and after you signed out there, until you take it out."
    >
      {mine.phones.map(({ id, name, endpoint, addedAt }) => (
        <PartLine key={id}>
          <Typography sx={{ flex: 1, minWidth: 200 }}>
            <b>{endpoint === here.data ? `${name}, this one` : name}</b>, since {moment(addedAt)}
          </Typography>
          <Button
            color="inherit"
            disabled={remove.isPending}
            onClick={() => remove.mutate(id)}
            aria-label={`Take out ${name}`}
          >
            Take it out
          </Button>
        </PartLine>
      ))}
      {why && <Typography sx={{ color: 'text.secondary' }}>{why}</Typography>}
      {!why && !isHere && (
        <Button
          variant="contained"
          disabled={connect.isPending}
          onClick={() => connect.mutate()}
          sx={{ justifySelf: 'start', minHeight: 48 }}
        >
          {connect.isPending ? 'Asking the browser …' : 'Show messages on this device'}
        </Button>
      )}
      {mine.phones.length > 0 && <TestButton channel="PUSH" label="Send my phones a test" />}
      {connect.error && (
        <Typography role="alert" sx={{ color: 'warning.main' }}>
          {connect.error.message}
        </Typography>
      )}
      <ProblemNotice failure={remove.error} />
    </Part>
  );
}
