import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useCallback, useState } from 'react';
import { hasCamera, readCodes } from './camera';

interface Props<T> {
  /** What the button says. */
  label: string;
  title: string;
  /** What is meant by a code; null where it is none of these. */
  read: (text: string) => T | null;
  /** What is said of a code that is none of these. */
  none: string;
  onScan: (scanned: T) => void;
}

/** Reads one code through the camera. */
export function CameraButton<T>({ label, title, read, none, onScan }: Props<T>) {
  const [open, setOpen] = useState(false);
  if (!hasCamera()) {
    return null;
  }
  const close = () => setOpen(false);
  return (
    <>
      <Button variant="outlined" color="inherit" onClick={() => setOpen(true)} sx={{ flex: 'none' }}>
        {label}
      </Button>
      {open && (
        <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby="scan-title">
          <DialogTitle id="scan-title" sx={{ display: 'flex', alignItems: 'center', typography: 'h2' }}>
            <span style={{ flex: 1 }}>{title}</span>
            <Button onClick={close} color="inherit">
              Close
            </Button>
          </DialogTitle>
          <DialogContent>
            <Camera
              read={read}
              none={none}
              onScan={(scanned) => {
                close();
                onScan(scanned);
              }}
            />
          </DialogContent>
        </Dialog>
      )}
    </>
  );
}

function Camera<T>({ read, none, onScan }: Pick<Props<T>, 'read' | 'none' | 'onScan'>) {
  const [said, setSaid] = useState('Hold the code before the camera.');
  const [blind, setBlind] = useState(false);
  // It sees as long as the picture is there.
  const see = useCallback(
    (video: HTMLVideoElement) => {
      let done = false;
      const camera = readCodes(video, (text) => {
        const scanned = read(text);
        if (done) {
          return;
        }
        if (scanned !== null) {
          done = true;
          onScan(scanned);
        } else {
          setSaid(none);
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
