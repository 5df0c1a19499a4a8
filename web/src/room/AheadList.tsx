import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import { useToday } from '../api/house';
import { useTasks } from '../api/room';
import type { Schema } from '../api/client';
import { shortDate } from '../kit/units';

const DAYS = 14;

/** What comes in the next fortnight, day by day. Fetched when somebody opens it. */
export function AheadList() {
  const [open, setOpen] = useState(false);
  return (
    <Box
      component="details"
      sx={{ mt: 2, borderTop: '1px solid', borderColor: 'divider', pt: 1 }}
      onToggle={(event) => setOpen((event.currentTarget as HTMLDetailsElement).open)}
    >
      <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 620, minHeight: 32 }}>
        The next fortnight
      </Box>
      {open && <Days />}
    </Box>
  );
}

function Days() {
  const tasks = useTasks(DAYS);
  const today = useToday();
  const ahead = tasks.data?.filter((task) => task.on > today) ?? [];
  const days = [...new Set(ahead.map((task) => task.on))];
  if (tasks.data && days.length === 0) {
    return <Typography sx={{ color: 'text.secondary' }}>Nothing is planned.</Typography>;
  }
  return (
    <>
      {days.map((day) => (
        <Box key={day} sx={{ display: 'flex', gap: 1.5, py: 0.5 }}>
          <Typography variant="body2" sx={{ width: '5.5rem', flexShrink: 0, fontWeight: 620 }}>
            {shortDate(day)}
          </Typography>
          <Box>
            {[...new Set(ahead.filter((task) => task.on === day).map((task) => task.work))].map((work) => (
              <Typography variant="body2" key={work}>
                {ahead.find((task) => task.work === work)?.label.toLowerCase()}{' '}
                {ahead
                  .filter((task) => task.on === day && task.work === work)
                  .filter(
                    (task, index, all) =>
                      all.findIndex(({ subject }) => subject.id === task.subject.id) === index,
                  )
                  .map((task, index) => (
                    <span key={task.subject.id}>
                      {index > 0 && ', '}
                      <Where work={task} />
                    </span>
                  ))}
              </Typography>
            ))}
          </Box>
        </Box>
      ))}
    </>
  );
}

function Where({ work }: { work: Schema['WorkView'] }) {
  return (
    <Box component={Link} to={work.at} sx={{ color: 'text.primary', fontWeight: 560 }}>
      {work.subject.tag}
    </Box>
  );
}
