import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { NavLink } from 'react-router';
import type { Schema } from '../api/client';
import { Search } from '../kit/Search';

const places: { to: string; label: string; wide?: boolean }[] = [
  { to: '/', label: 'Room' },
  { to: '/plan', label: 'Plan' },
  { to: '/receive', label: 'Receive' },
  { to: '/weigh', label: 'Weigh' },
  { to: '/look', label: 'Look' },
  { to: '/trials', label: 'Trials' },
  { to: '/tastings', label: 'Table' },
  { to: '/stock', label: 'Stock' },
  // At a desk only; a phone's rail has no room for more.
  { to: '/compare', label: 'Compare', wide: true },
  { to: '/guide', label: 'Guide' },
  { to: '/settings', label: 'Settings' },
];

/**
 * The way round the house: a steel rail with the views hung from it as tags. The one that is open hangs lower. On a phone
 * it lies at the foot of the screen, under the thumb.
 */
export function Rail({ me }: { me: Schema['Me'] }) {
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
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: { xs: 2, md: 4 }, pt: 1.25, pb: 0.75 }}>
        <Typography
          component="span"
          sx={{ fontFamily: 'h1.fontFamily', typography: 'h2', fontSize: '1.6rem', fontWeight: 750 }}
        >
          Elvaro
        </Typography>
        <Typography component="span" noWrap sx={{ color: 'text.secondary', flex: 1, minWidth: 0 }}>
          {me.workshopName}, {me.name}
        </Typography>
        <Search />
      </Box>
      <Box
        component="nav"
        aria-label="Views"
        sx={{
          borderTop: '4px solid',
          borderColor: 'rail',
          px: { xs: 0.5, md: 4 },
          display: 'flex',
          gap: { xs: 0, md: 1 },
          justifyContent: { xs: 'space-between', md: 'flex-start' },
          overflowX: { xs: 'auto', md: 'visible' },
          position: { xs: 'fixed', md: 'static' },
          bottom: { xs: 0 },
          left: 0,
          right: 0,
          zIndex: 1100,
          bgcolor: 'background.default',
          minHeight: 52,
        }}
      >
        {places.map((place) => (
          <Box
            key={place.to}
            component={NavLink}
            to={place.to}
            end={place.to === '/'}
            sx={{
              color: 'text.primary',
              textDecoration: 'none',
              fontWeight: 560,
              fontSize: { xs: '0.72rem', md: '1rem' },
              letterSpacing: { xs: '-0.01em', md: 0 },
              flex: 'none',
              px: { xs: 0, md: 2 },
              height: { xs: 44, md: 34 },
              display: { xs: place.wide ? 'none' : 'flex', md: 'flex' },
              alignItems: 'center',
              position: 'relative',
              mt: { xs: 0, md: '8px' },
              border: '1px solid transparent',
              borderRadius: '0 0 4px 4px',
              transition: 'margin-top 160ms ease',
              '&::before': {
                content: '""',
                position: 'absolute',
                left: '50%',
                top: { xs: 0, md: -9 },
                height: { xs: 3, md: 8 },
                width: { xs: 0, md: 0 },
                borderLeft: { md: '2px solid' },
                borderColor: 'rail',
              },
              '&:hover': { color: 'secondary.main' },
              '&.active': {
                mt: { md: '15px' },
                bgcolor: 'background.paper',
                borderColor: 'divider',
                color: 'secondary.main',
                fontWeight: 680,
                '&::before': {
                  top: { md: -16 },
                  height: { md: 15 },
                  width: { xs: '60%', md: 0 },
                  left: { xs: '20%', md: '50%' },
                  bgcolor: 'secondary.main',
                },
              },
            }}
          >
            {place.label}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
