import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { ProblemNotice } from '../kit/Notices';
import { hasCable, speeds, useCable } from './cable';

/** A scale that is plugged into the device this page is on, where the browser allows it. */
export function CableButton({ scale }: { scale: string }) {
  const cable = useCable(scale);
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [refused, setRefused] = useState(false);
  if (!hasCable()) {
    return null;
  }
  const plugIn = (speed: number) => {
    setAt(null);
    setRefused(false);
    cable.plugIn(speed).catch(() => setRefused(true));
  };
  return (
    <>
      <Button
        color="inherit"
        variant="outlined"
        onClick={(event) => (cable.state === 'open' ? cable.unplug() : setAt(event.currentTarget))}
      >
        {cable.state === 'open' ? 'Leave the cable' : 'Scale at this device'}
      </Button>
      <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
        {speeds.map((speed) => (
          <MenuItem key={speed} onClick={() => plugIn(speed)}>
            {speed} baud{speed === 9600 && ', as most are set'}
          </MenuItem>
        ))}
      </Menu>
      {refused && (
        <Typography role="status" color="warning.main">
          The cable was not opened. Is the scale plugged in, and used by no other program?
        </Typography>
      )}
      {cable.state === 'lost' && (
        <Typography role="status" color="warning.main">
          The scale is gone from the cable.
        </Typography>
      )}
      <ProblemNotice failure={cable.failure} />
    </>
  );
}
