import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh, useSession } from '../api/house';
import { useColleagues } from '../api/notices';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';

type Answer = Schema['AlarmAnswerForm'];

/** When to be told again, in minutes. */
const laters: [number, string][] = [
  [15, 'in a quarter of an hour'],
  [60, 'in an hour'],
  [240, 'in four hours'],
];

/** What a person can say to an alarm: each a touch. */
export function AnswerButtons({ alarmId }: { alarmId: string }) {
  const me = useSession().data?.me?.id;
  const colleagues = useColleagues();
  const [later, setLater] = useState<HTMLElement | null>(null);
  const [hand, setHand] = useState<HTMLElement | null>(null);
  const say = useMutation({
    // The same id however often it is sent.
    mutationFn: ({ id, body }: { id: string; body: Answer }) =>
      answer(
        api.PUT('/api/alarms/{id}/answers/{answerId}', {
          params: { path: { id: alarmId, answerId: id } },
          body,
        }),
      ),
    retry: 2,
    onSettled: refresh,
  });
  const tell = (body: Answer) => {
    setLater(null);
    setHand(null);
    say.mutate({ id: newId(), body });
  };
  const others = colleagues.data?.filter(({ id }) => id !== me) ?? [];
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="contained"
          size="large"
          disabled={say.isPending}
          onClick={() => tell({ kind: 'TAKEN_OVER' })}
          sx={{ minHeight: 52, flex: { xs: '1 1 100%', sm: '0 0 auto' } }}
        >
          I see to it
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          disabled={say.isPending}
          onClick={(event) => setLater(event.currentTarget)}
          sx={{ minHeight: 52, flex: { xs: 1, sm: '0 0 auto' } }}
        >
          Tell me again …
        </Button>
        {others.length > 0 && (
          <Button
            variant="outlined"
            color="inherit"
            disabled={say.isPending}
            onClick={(event) => setHand(event.currentTarget)}
            sx={{ minHeight: 52, flex: { xs: 1, sm: '0 0 auto' } }}
          >
            Hand it over …
          </Button>
        )}
      </Box>
      <Menu open={later !== null} anchorEl={later} onClose={() => setLater(null)}>
        {laters.map(([minutes, words]) => (
          <MenuItem key={minutes} onClick={() => tell({ kind: 'LATER', minutes })}>
            {words}
          </MenuItem>
        ))}
      </Menu>
      <Menu open={hand !== null} anchorEl={hand} onClose={() => setHand(null)}>
        {others.map(({ id, name }) => (
          <MenuItem key={id} onClick={() => tell({ kind: 'HANDED_TO', to: id })}>
            {name}
          </MenuItem>
        ))}
      </Menu>
      <ProblemNotice failure={say.error} />
    </Box>
  );
}
