import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { useRegisterSW } from 'virtual:pwa-register/react';

const LOOK_EVERY_MS = 3_600_000;

/** What is fetched for later leaves the line to what is wanted now. */
const BEGIN_AFTER_MS = 4_000;

/** A newer version is there: it comes when whoever is at it says so, and forms are there afterwards as they were. */
export function NewVersion() {
  const [begun, setBegun] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setBegun(true), BEGIN_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return begun && <Kept />;
}

/** All of the app is kept on the device, and looked for anew. */
function Kept() {
  const {
    needRefresh: [waits, setWaits],
    updateServiceWorker,
  } = useRegisterSW({
    onRegisteredSW: (_, registration) => {
      setInterval(() => void registration?.update().catch(() => undefined), LOOK_EVERY_MS);
    },
  });
  if (!waits) {
    return null;
  }
  return (
    <Box
      role="status"
      className="no-print"
      sx={{
        display: 'flex',
        gap: 2,
        alignItems: 'center',
        px: { xs: 2, md: 4 },
        py: 1,
        bgcolor: 'background.paper',
      }}
    >
      <Typography sx={{ flex: 1 }}>
        There is a new version of Elvaro. Half-filled forms stay as they are.
      </Typography>
      <Button color="inherit" onClick={() => setWaits(false)}>
        Later
      </Button>
      <Button variant="contained" onClick={() => void updateServiceWorker(true)}>
        Load it
      </Button>
    </Box>
  );
}
