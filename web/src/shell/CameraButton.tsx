import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useCallback, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { hasCamera, readCodes } from '../kit/camera';
import { readScan, type Scanned } from '../kit/scan';
import { leadsTo } from './Scans';

/** Reads a hang tag or a label through the camera, wherever one is. */
export function CameraButton() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [open, setOpen] = useState(false);
  if (!hasCamera()) {
    return null;
  }
  const close = () => setOpen(false);
  return (
    <>
      <Button variant="outlined" color="inherit" onClick={() => setOpen(true)} sx={{ flex: 'none' }}>
        Scan
      </Button>
      {open && (
        <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby="scan-title">
          <DialogTitle id="scan-title" sx={{ display: 'flex', alignItems: 'center', typography: 'h2' }}>
            <span style={{ flex: 1 }}>Scan a tag or a label</span>
            <Button onClick={close} color="inherit">
              Close
            </Button>
          </DialogTitle>
          <DialogContent>
            <Camera
              onScan={(scanned) => {
                close();
                void navigate(leadsTo(scanned, pathname));
              }}
            />
          </DialogContent>
        </Dialog>
      )}
    </>
  );
}

function Camera({ onScan }: { onScan: (scanned: Scanned) => void }) {
  const [said, setSaid] = useState('Hold the code before the camera.');
  const [blind, setBlind] = useState(false);
  // It sees as long as the picture is there.
  const see = useCallback(
    (video: HTMLVideoElement) => {
      let done = false;
      const camera = readCodes(video, (text) => {
        const scanned = readScan(text);
        if (done) {
          return;
        }
        if (scanned) {
          done = true;
          onScan(scanned);
        } else {
          setSaid('That code is none of Elvaro’s.');
        }
      });
      camera.catch(() => {
        setBlind(true);
        setSaid('The camera cannot be used. Allow it in the browser, or type the tag.');
      });
      return () => {
        done = true;
        void camera.then((reading) => reading.stop()).catch(() => undefined);
      };
    },
    // The dialog is there for one scan.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [],
  );
  return (
    <>
      <Box
        component="video"
        hidden={blind}
        ref={see}
        muted
        playsInline
        aria-label="What the camera sees"
        sx={{ width: '100%', aspectRatio: '4 / 3', objectFit: 'cover', bgcolor: 'common.black' }}
      />
      <Typography role="status" sx={{ mt: 1 }}>
        {said}
      </Typography>
    </>
  );
}
