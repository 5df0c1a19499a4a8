import Button from '@mui/material/Button';

interface Props {
  label: string;
  /** Of the file that is asked for, for whoever does not see the button. */
  name: string;
  accept: string;
  busy: boolean;
  onFile: (file: File) => void;
}

/** Asks for a file; the same one may be chosen again. */
export function FileButton({ label, name, accept, busy, onFile }: Props) {
  return (
    <Button variant="outlined" component="label" disabled={busy}>
      {label}
      <input
        type="file"
        accept={accept}
        aria-label={name}
        disabled={busy}
        style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) {
            onFile(file);
          }
        }}
      />
    </Button>
  );
}
