import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useNavigationType } from 'react-router';
import { isField } from './focus';
import { Later } from './Later';
import { Problem } from '../api/client';
import { useTitle } from './drafts';

interface Props {
  title: string;
  /** Stands beside the title. */
  aside?: ReactNode;
  children: ReactNode;
}

/** The first view is read from the top of the page. */
let isFirst = true;

/** A view: its title and its content, as wide as the screen lets it. Whoever goes to it by keys is in it at once. */
export function Page(props: Props) {
  useTitle(props.title);
  const arrived = useNavigationType();
  // What is gone back to stands at once, as the browser goes to where it was scrolled.
  const [isBack] = useState(() => arrived === 'POP' && !isFirst);
  return isBack ? (
    <View {...props} />
  ) : (
    <Later height="100vh">
      <View {...props} />
    </Later>
  );
}

/** Title and content come together: whoever sees where they are can go on. */
function View({ title, aside, children }: Props) {
  const main = useRef<HTMLElement>(null);
  useEffect(() => {
    const here = document.activeElement;
    if (!isFirst && !isField(here) && !main.current?.contains(here)) {
      main.current?.focus({ preventScroll: true });
    }
    isFirst = false;
  }, []);
  return (
    <Box
      component="main"
      ref={main}
      id="main"
      tabIndex={-1}
      sx={{
        px: { xs: 2, md: 4 },
        pt: 2.5,
        pb: 10,
        maxWidth: 1480,
        mx: 'auto',
        outline: 'none',
        '--elvaro-thumb': { xs: 'calc(59px + env(safe-area-inset-bottom))', md: '0px' }, // the bar of views on a phone
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 2 }}>
        <Typography variant="h1">{title}</Typography>
        {aside}
      </Box>
      {children}
    </Box>
  );
}

/** Stands while something is fetched, or says why it did not come. */
export function Waiting({ failure }: { failure?: unknown }) {
  return (
    <Typography role="status" sx={{ px: { xs: 2, md: 4 }, py: 4, color: 'text.secondary' }}>
      {failure instanceof Problem && failure.status === 0
        ? 'Elvaro does not answer, and this has not been on this device before. It comes by itself once Elvaro answers.'
        : failure instanceof Error
          ? failure.message
          : 'One moment …'}
    </Typography>
  );
}
