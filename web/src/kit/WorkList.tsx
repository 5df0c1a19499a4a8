import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';

interface Props {
  id: string;
  title: string;
  work: Schema['WorkView'][];
  chosen: string | null;
  onChoose: (pieceId: string) => void;
}

/** Pieces that wait for the same work, to go through one after another. */
export function WorkList({ id, title, work, chosen, onChoose }: Props) {
  return (
    <Box component="section" aria-labelledby={id}>
      <Typography id={id} variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {work.map(({ subject, words }) => (
        <Button
          key={subject.id}
          fullWidth
          color="inherit"
          aria-current={subject.id === chosen}
          onClick={() => {
            onChoose(subject.id);
            window.scrollTo({ top: 0 }); // on a phone the chosen piece is above the list
          }}
          sx={{
            justifyContent: 'flex-start',
            gap: 1.5,
            borderTop: '1px solid',
            borderColor: 'divider',
            borderRadius: 0,
            bgcolor: subject.id === chosen ? 'background.paper' : undefined,
          }}
        >
          <Typography component="span" sx={{ typography: 'h3', width: '3rem', textAlign: 'left' }}>
            {subject.tag}
          </Typography>
          <Typography component="span" variant="body2" noWrap sx={{ flex: 1, textAlign: 'left' }}>
            {subject.name}
          </Typography>
          <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
            {words}
          </Typography>
        </Button>
      ))}
    </Box>
  );
}
