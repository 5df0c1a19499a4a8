import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { sendBytes } from '../api/client';
import { refresh } from '../api/house';
import { hasCamera } from '../kit/camera';
import { newId } from '../kit/drafts';
import { FileButton } from '../kit/FileButton';
import { ProblemNotice } from '../kit/Notices';
import { Chips } from '../look/Chips';
import { momentWords, photoOf, type Taken } from './photos';

interface Props {
  pieceId: string;
  tag: string;
  /** What it most likely shows now. */
  shows: Taken;
  /** The last picture, laid faintly over the next. */
  lastId?: string;
}

/** Takes a picture of a piece at any moment, from the same angle as the last. */
export function TakePhoto({ pieceId, tag, shows: first, lastId }: Props) {
  const [open, setOpen] = useState(false);
  const [shows, setShows] = useState(first);
  const send = useMutation({
    mutationFn: (photo: Blob) =>
      sendBytes(`/api/pieces/${pieceId}/photos/${newId()}?shows=${shows}`, new File([photo], 'photo.jpg')),
    onSuccess: async () => {
      setOpen(false);
      await refresh();
    },
  });
  return (
    <>
      <Button
        variant="outlined"
        onClick={() => {
          setShows(first);
          send.reset();
          setOpen(true);
        }}
      >
        Take a photo
      </Button>
      {open && (
        <Dialog open onClose={() => setOpen(false)} fullWidth maxWidth="sm" aria-labelledby="photo-title">
          <DialogTitle id="photo-title" sx={{ display: 'flex', alignItems: 'center', typography: 'h2' }}>
            <span style={{ flex: 1 }}>A photo of {tag}</span>
            <Button onClick={() => setOpen(false)} color="inherit">
              Close
            </Button>
          </DialogTitle>
          <DialogContent sx={{ display: 'grid', gap: 2 }}>
            <Chips
              label="What it shows"
              words={momentWords}
              chosen={[shows]}
              onChange={([chosen]) => setShows(chosen ?? first)}
            />
            {hasCamera() && (
              <Camera
                overlay={lastId ? photoOf(pieceId, lastId) : undefined}
                busy={send.isPending}
                onPhoto={(photo) => send.mutate(photo)}
              />
            )}
            <FileButton
              label="From a file or the phone’s camera"
              name={`Photo of ${tag}`}
              accept="image/jpeg,image/png"
              camera
              onFile={(photo) => send.mutate(photo)}
            />
            {send.isPending && <Typography role="status">Sending …</Typography>}
            <ProblemNotice failure={send.error} />
          </DialogContent>
        </Dialog>
      )}
    </>
  );
}

interface CameraProps {
  overlay?: string;
  busy: boolean;
  onPhoto: (photo: Blob) => void;
}

const QUALITY = 0.9;

/** What the camera sees, with the last picture faintly over it; where it may not see, nothing. */
function Camera({ overlay, busy, onPhoto }: CameraProps) {
  const video = useRef<HTMLVideoElement | null>(null);
  const [blind, setBlind] = useState(false);
  const [strength, setStrength] = useState(35);
  const see = useCallback((element: HTMLVideoElement) => {
    video.current = element;
    const stream = navigator.mediaDevices.getUserMedia({
      audio: false,
      video: { facingMode: 'environment', width: { ideal: 1920 } },
    });
    stream
      .then((seen) => {
        element.srcObject = seen;
      })
      .catch(() => setBlind(true));
    return () => {
      video.current = null;
      void stream.then((seen) => seen.getTracks().forEach((track) => track.stop())).catch(() => undefined);
    };
  }, []);
  if (blind) {
    return null;
  }
  const shoot = () => {
    const seen = video.current;
    if (!seen || seen.videoWidth === 0) {
      return;
    }
    const canvas = document.createElement('canvas');
    canvas.width = seen.videoWidth;
    canvas.height = seen.videoHeight;
    canvas.getContext('2d')?.drawImage(seen, 0, 0);
    canvas.toBlob((photo) => photo && onPhoto(photo), 'image/jpeg', QUALITY);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ position: 'relative', bgcolor: 'common.black', minHeight: 200 }}>
        <video ref={see} autoPlay playsInline muted style={{ width: '100%', display: 'block' }} />
        {overlay && (
          <img
            src={overlay}
            alt="The last photo, faintly over the camera"
            style={{
              position: 'absolute',
              inset: 0,
              width: '100%',
              height: '100%',
              objectFit: 'cover',
              opacity: strength / 100,
              pointerEvents: 'none',
            }}
          />
        )}
      </Box>
      {overlay && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', px: 1 }}>
          <Typography id="overlay-label">The last one over it</Typography>
          <Slider
            aria-labelledby="overlay-label"
            value={strength}
            max={80}
            onChange={(_, next) => setStrength(next as number)}
          />
        </Box>
      )}
      <Button variant="contained" size="large" disabled={busy} onClick={shoot} sx={{ minHeight: 56 }}>
        Take it
      </Button>
    </Box>
  );
}
