import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { NavLink, useLocation } from 'react-router';
import type { Schema } from '../api/client';
import { ScanTag } from './ScanTag';
import { Find } from './Find';
import { views, type View } from './views';

/**
 * The way round the house: a steel rail with the views hung from it as tags. The one that is open hangs lower. On a phone
 * it lies at the foot of the screen, under the thumb, with room for gloves: what is done in the cold room, and the rest
 * behind one.
 */
export function Rail({ me }: { me: Schema['Me'] }) {
  const wide = useMediaQuery('(min-width:900px)');
  return (
    <Box component="header" className="no-print" sx={{ bgcolor: 'background.default' }}>
      <Box
        component="a"
        href="#main"
        sx={{
          position: 'absolute',
          left: -9999,
          '&:focus': { left: 8, top: 8, zIndex: 2, bgcolor: 'background.paper', p: 1 },
        }}
      >
        Skip to the content
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          columnGap: 2,
          px: { xs: 2, md: 4 },
          pt: 1.25,
          pb: 0.75,
        }}
      >
        <Typography
          component="span"
          sx={{ fontFamily: 'h1.fontFamily', typography: 'h2', fontSize: '1.6rem', fontWeight: 750 }}
        >
          Elvaro
        </Typography>
        <Typography
          component="span"
          noWrap
          sx={{
            color: 'text.secondary',
            flex: '1 1 6rem',
            minWidth: 0,
            display: { xs: 'none', sm: 'inline' },
          }}
        >
          {me.workshopName}, {me.name}
        </Typography>
        <Find />
        <ScanTag />
      </Box>
      {wide ? <Tags /> : <Thumb />}
    </Box>
  );
}

function Tags() {
  return (
    <Box
      component="nav"
      aria-label="Views"
      sx={{
        borderTop: '4px solid',
        borderColor: 'rail',
        px: 4,
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 0.5,
        minHeight: 52,
      }}
    >
      {views.map((view) => (
        <Box
          key={view.to}
          component={NavLink}
          to={view.to}
          end={view.to === '/'}
          sx={{
            color: 'text.primary',
            textDecoration: 'none',
            fontWeight: 560,
            px: 1.75,
            minHeight: 34,
            display: 'flex',
            alignItems: 'center',
            position: 'relative',
            mt: '8px',
            border: '1px solid transparent',
            borderRadius: '0 0 4px 4px',
            transition: 'margin-top 160ms ease',
            '&::before': {
              content: '""',
              position: 'absolute',
              left: '50%',
              top: -9,
              height: 8,
              borderLeft: '2px solid',
              borderColor: 'rail',
            },
            '&:hover': { color: 'secondary.main' },
            '&.active': {
              mt: '15px',
              bgcolor: 'background.paper',
              borderColor: 'divider',
              color: 'secondary.main',
              fontWeight: 680,
              '&::before': { top: -16, height: 15 },
            },
          }}
        >
          {view.label}
        </Box>
      ))}
    </Box>
  );
}

const target = {
  flex: '1 1 0',
  minWidth: 0,
  minHeight: 56,
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  color: 'text.primary',
  textDecoration: 'none',
  fontWeight: 620,
  fontSize: '0.95rem',
  borderTop: '4px solid transparent',
  borderRadius: 0,
  p: 0,
  '&.active': { color: 'secondary.main', borderColor: 'secondary.main', bgcolor: 'background.paper' },
} as const;

function Thumb() {
  const [more, setMore] = useState(false);
  const { pathname } = useLocation();
  const behind = views.filter(({ thumb }) => !thumb);
  const inside = behind.some(({ to }) => pathname.startsWith(to));
  return (
    <>
      <Box
        component="nav"
        aria-label="Views"
        sx={{
          position: 'fixed',
          bottom: 0,
          left: 0,
          right: 0,
          zIndex: 1100,
          display: 'flex',
          bgcolor: 'background.default',
          borderTop: '3px solid',
          borderColor: 'rail',
          pb: 'env(safe-area-inset-bottom)',
        }}
      >
        {views
          .filter(({ thumb }) => thumb)
          .map((view) => (
            <Place key={view.to} view={view} />
          ))}
        <Button
          color="inherit"
          aria-expanded={more}
          className={inside ? 'active' : undefined}
          onClick={() => setMore(true)}
          sx={target}
        >
          More
        </Button>
      </Box>
      <Drawer anchor="bottom" open={more} onClose={() => setMore(false)}>
        <Box
          component="nav"
          aria-label="More views"
          onClick={() => setMore(false)}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', p: 1 }}
        >
          {behind.map((view) => (
            <Place key={view.to} view={view} />
          ))}
        </Box>
      </Drawer>
    </>
  );
}

function Place({ view }: { view: View }) {
  return (
    <Box component={NavLink} to={view.to} end={view.to === '/'} sx={target}>
      {view.label}
    </Box>
  );
}
