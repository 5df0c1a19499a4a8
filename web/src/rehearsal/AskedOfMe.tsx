import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import { Link } from 'react-router';
import { useCourse } from '../api/rehearsal';

/** What the shop asks for before one works alone; nothing once it is passed. */
export function AskedOfMe() {
  const open = useCourse().data?.lessons.filter(({ asked, passed }) => asked && !passed) ?? [];
  if (open.length === 0) {
    return null;
  }
  return (
    <Box role="status" sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2, py: 1, mb: 3 }}>
      Before you work alone your shop asks you to pass{' '}
      <MuiLink component={Link} to="/rehearsal" sx={{ fontWeight: 620 }}>
        {open.length === 1 ? `“${open[0]?.title}”` : `${open.length} lessons of the rehearsal`}
      </MuiLink>
      .
    </Box>
  );
}
