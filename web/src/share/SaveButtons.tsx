import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import type { SharedKind } from './kind';

interface Props {
  token: string;
  path: string;
  /** What it is called once it is saved. */
  file: string;
  children: string;
}

/** The page to keep: on paper, and as a picture to send on. */
export function SaveButtons({ what, token }: { what: SharedKind; token: string }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      <SaveButton token={token} path={`/shared/${what}/pdf`} file={`${what.toLowerCase()}.pdf`}>
        Save as PDF
      </SaveButton>
      <SaveButton token={token} path={`/shared/${what}/picture`} file={`${what.toLowerCase()}.png`}>
        Save as picture
      </SaveButton>
    </Box>
  );
}

/** Saves what is behind a link: the token goes in a header, so that it stands in no address. */
function SaveButton({ token, path, file, children }: Props) {
  const save = useMutation({
    mutationFn: async () => {
      const response = await fetch(path, { headers: { Authorization: `Bearer ${token}` } });
      if (!response.ok) {
        throw new Error('It could not be made. Wait a minute and try again.');
      }
      const link = document.createElement('a');
      link.href = URL.createObjectURL(await response.blob());
      link.download = file;
      link.click();
      URL.revokeObjectURL(link.href);
    },
  });
  return (
    <Box>
      <Button variant="outlined" loading={save.isPending} onClick={() => save.mutate()}>
        {children}
      </Button>
      {save.error && <Typography color="error">{save.error.message}</Typography>}
    </Box>
  );
}
