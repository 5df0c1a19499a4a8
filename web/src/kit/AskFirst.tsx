import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';

interface Props {
  /** What it does, on its button. */
  label: string;
  /** Of what, where the label is too short to stand alone. */
  name?: string;
  /** What follows from it, as it cannot be undone. */
  warning: string;
  busy?: boolean;
  onYes: () => void;
}

/** For what cannot be undone: the first touch says what follows, the second does it. */
export function AskFirst({ label, name = label, warning, busy = false, onYes }: Props) {
  const [asked, setAsked] = useState(false);
  if (!asked) {
    return (
      <Button color="inherit" aria-label={name} disabled={busy} onClick={() => setAsked(true)}>
        {label}
      </Button>
    );
  }
  return (
    <>
      <Typography role="alert" sx={{ flexBasis: '100%', fontWeight: 620 }}>
        {warning} That cannot be undone.
      </Typography>
      <Button
        variant="contained"
        color="error"
        autoFocus
        disabled={busy}
        onClick={() => {
          setAsked(false);
          onYes();
        }}
      >
        Yes, {label.charAt(0).toLowerCase() + label.slice(1)}
      </Button>
      <Button color="inherit" onClick={() => setAsked(false)}>
        Leave it
      </Button>
    </>
  );
}
