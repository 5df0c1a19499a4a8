import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { LinkDialog } from './LinkDialog';
import { PaperDialog } from './PaperDialog';

type Tasting = Schema['TastingView'];
type Place = Schema['PlaceView'];

/** The table from above: a plate for each taster, cleared as the sheets come in. Who answered, never what. */
export function TableDrawing({ tasting }: { tasting: Tasting }) {
  const [shown, setShown] = useState<Place | null>(null);
  const [typed, setTyped] = useState<Place | null>(null);
  const open = tasting.state === 'OPEN';
  return (
    <Box component="section" aria-label="At the table">
      <Box
        component="ul"
        sx={{
          m: 0,
          p: 2,
          listStyle: 'none',
          border: '2px solid',
          borderColor: 'rail',
          borderRadius: 3,
          bgcolor: 'background.paper',
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(168px, 1fr))',
          gap: 2,
        }}
      >
        {tasting.places.map((place) => (
          <Box component="li" key={place.id} sx={{ textAlign: 'center', minWidth: 0 }}>
            <Setting place={place} />
            <Typography sx={{ fontWeight: 640 }} noWrap>
              {place.name}
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              {said(place.arrived)}
            </Typography>
            {place.link && (
              <Button size="small" onClick={() => setShown(place)} aria-label={`Link for ${place.name}`}>
                Link
              </Button>
            )}
            {open && tasting.mine && place.arrived.includes(false) && (
              <Button
                size="small"
                color="inherit"
                onClick={() => setTyped(place)}
                aria-label={`Type in for ${place.name}`}
              >
                Type in
              </Button>
            )}
          </Box>
        ))}
      </Box>
      {shown?.link && <LinkDialog name={shown.name} link={shown.link} onClose={() => setShown(null)} />}
      {typed && <PaperDialog tasting={tasting} place={typed} onClose={() => setTyped(null)} />}
    </Box>
  );
}

const said = (arrived: boolean[]): string => {
  const there = arrived.filter(Boolean).length;
  if (there === arrived.length) {
    return 'handed in';
  }
  return there === 0 ? 'not yet' : `${there} of ${arrived.length} rounds`;
};

function Setting({ place }: { place: Place }) {
  const done = !place.arrived.includes(false);
  return (
    <Box
      component="svg"
      viewBox="0 0 100 100"
      aria-hidden
      sx={{ width: 84, height: 84, display: 'block', mx: 'auto' }}
    >
      <Box
        component="circle"
        cx="50"
        cy="50"
        r="46"
        strokeWidth="2"
        sx={{ fill: 'var(--mui-palette-background-default)', stroke: 'var(--mui-palette-rail)' }}
      />
      <Box
        component="circle"
        cx="50"
        cy="50"
        r="33"
        strokeWidth="2"
        sx={{ fill: done ? 'var(--mui-palette-primary-main)' : 'none', stroke: 'var(--mui-palette-divider)' }}
      />
      <Box
        component="text"
        x="50"
        y="60"
        textAnchor="middle"
        sx={{
          fill: done ? 'var(--mui-palette-primary-contrastText)' : 'var(--mui-palette-text-secondary)',
          fontFamily: 'h1.fontFamily',
          fontWeight: 700,
          fontSize: 30,
        }}
      >
        {done ? '✓' : place.number}
      </Box>
    </Box>
  );
}
