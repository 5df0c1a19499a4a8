import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { dueWords } from './words';

interface Props {
  id: string;
  title: string;
  due: Schema['DueView'][];
  chosen: string | null;
  onChoose: (pieceId: string) => void;
}

/** Pieces that wait for the same work, to go through one after another. */
export function WorkList({ id, title, due, chosen, onChoose }: Props) {
  return (
    <Box component="section" aria-labelledby={id}>
      <Typography id={id} variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {due.map((each) => (
        <Button
          key={each.pieceId}
          fullWidth
          color="inherit"
          aria-current={each.pieceId === chosen}
          onClick={() => {
            if (each.pieceId) {
              onChoose(each.pieceId);
              window.scrollTo({ top: 0 }); // on a phone the chosen piece is above the list
            }
          }}
          sx={{
            justifyContent: 'flex-start',
            gap: 1.5,
            borderTop: '1px solid',
            borderColor: 'divider',
            borderRadius: 0,
            bgcolor: each.pieceId === chosen ? 'background.paper' : undefined,
          }}
        >
          <Typography component="span" sx={{ typography: 'h3', width: '3rem', textAlign: 'left' }}>
            {each.tag}
          </Typography>
          <Typography component="span" variant="body2" noWrap sx={{ flex: 1, textAlign: 'left' }}>
            {each.cutName}
          </Typography>
          <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
            {dueWords(each)}
          </Typography>
        </Button>
      ))}
    </Box>
  );
}
