import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import { Ways } from '../alarm/Ways';
import { useTold } from '../api/notices';
import { Waiting } from '../kit/Page';
import { moment } from '../kit/units';
import { Part } from '../settings/Part';

const FEW = 8;

/** What was told to whom, and how far it got. */
export function WhatWasTold({ owner }: { owner: boolean }) {
  const told = useTold();
  const [all, setAll] = useState(false);
  if (!told.data) {
    return <Waiting failure={told.error} />;
  }
  const shown = all ? told.data : told.data.slice(0, FEW);
  return (
    <Part
      title="What was told"
      about={owner ? 'To everybody, the last first. It is kept for half a year.' : 'To you, the last first.'}
    >
      {told.data.length === 0 && <Typography>Nothing yet.</Typography>}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shown.map(({ id, name, label, text, path, at, ways }) => (
          <Box
            key={id}
            component="li"
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '170px 1fr' },
              columnGap: 2,
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 1,
            }}
          >
            <Box>
              <Typography variant="body2">{moment(at)}</Typography>
              <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {name || 'The other program'}
              </Typography>
            </Box>
            <Box>
              <Typography component={Link} to={path} sx={{ color: 'text.primary', fontWeight: 620 }}>
                {text.title}
              </Typography>
              <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {label}
              </Typography>
              <Ways ways={ways} />
            </Box>
          </Box>
        ))}
      </Box>
      {!all && told.data.length > FEW && (
        <Button variant="outlined" color="inherit" onClick={() => setAll(true)} sx={{ justifySelf: 'start' }}>
          Show {told.data.length - FEW} more
        </Button>
      )}
    </Part>
  );
}
