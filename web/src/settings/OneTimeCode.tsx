import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';

/** What opens something once and is not shown again. */
export function OneTimeCode({ about, codes }: { about: string; codes: string[] }) {
  return (
    <Alert severity="info" variant="outlined" role="status">
      <Typography>{about}</Typography>
      {codes.map((code) => (
        <Typography key={code} sx={{ fontFamily: 'monospace', overflowWrap: 'anywhere', fontWeight: 620 }}>
          {code}
        </Typography>
      ))}
    </Alert>
  );
}
