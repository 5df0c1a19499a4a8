import Button from '@mui/material/Button';
import { useRef } from 'react';

interface Props {
  label: string;
  /** Of the file that is asked for, for whoever does not see the button. */
  name: string;
  accept: string;
  busy?: boolean;
  /** On a phone it opens the camera. */
  camera?: boolean;
  onFile: (file: File) => void;
}

/** Asks for a file; the same one may be chosen again. */
export function FileButton({ label, name, accept, busy = false, camera = false, onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outlined" disabled={busy} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        capture={camera ? 'environment' : undefined}
        aria-label={name}
        disabled={busy}
        tabIndex={-1}
        style={{ position: 'absolute', opacity: 0, width: 1, height: 1, pointerEvents: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) {
            onFile(file);
          }
        }}
      />
    </>
  );
}
