import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { AskFirst } from '../kit/AskFirst';
import { answer, api } from '../api/client';
import { queryClient, useHouseAddress } from '../api/house';
import { useCalendarFeed } from '../api/room';
import { ProblemNotice } from '../kit/Notices';
import { OnlyHere } from '../kit/OnlyHere';
import { Part } from './Part';

/** The work ahead in a calendar program: a file, or a private address it reads by itself. */
export function MyCalendar() {
  const feed = useCalendarFeed();
  const keep = (after: { made: boolean; path: string }) => queryClient.setQueryData(['calendar'], after);
  const make = useMutation({ mutationFn: () => answer(api.POST('/api/me/calendar')), onSuccess: keep });
  const revoke = useMutation({ mutationFn: () => answer(api.DELETE('/api/me/calendar')), onSuccess: keep });
  const house = useHouseAddress();
  const path = feed.data?.path ?? '';
  return (
    <Part
      title="Calendar"
      about="Weighings, turning, looking, pulls and purchases as calendar events. What is late stands on today; what cannot wait has a reminder. A calendar program can read them from a private address; whoever knows it can read them too."
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" component="a" href="/api/calendar.ics" download>
          Download as a file
        </Button>
        {feed.data?.made ? (
          <>
            <AskFirst
              label="Make a new address"
              warning="Every calendar that reads the old one stops doing so."
              busy={make.isPending}
              onYes={() => make.mutate()}
            />
            <AskFirst
              label="Remove the address"
              warning="Every calendar that reads it stops doing so."
              busy={revoke.isPending}
              onYes={() => revoke.mutate()}
            />
          </>
        ) : (
          <Button variant="outlined" onClick={() => make.mutate()} disabled={make.isPending}>
            Make a private address
          </Button>
        )}
      </Box>
      {path !== '' && (
        <Typography role="status" sx={{ overflowWrap: 'anywhere' }}>
          Give your calendar program this address now; it is not shown again:{' '}
          <strong>{house.address + path}</strong>
        </Typography>
      )}
      {path !== '' && <OnlyHere />}
      {feed.data?.made && path === '' && (
        <Typography sx={{ color: 'text.secondary' }}>
          An address is in use. If it is lost, make a new one; the old one then stops working.
        </Typography>
      )}
      <ProblemNotice failure={make.error ?? revoke.error} />
    </Part>
  );
}
