import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { photoAddress } from '../kit/photos';
import { answers, type LookView } from './words';

/** A look as it stands in the log: what was seen, what was answered, and its pictures. */
export function LookEntry({ look, pieceId }: { look: LookView; pieceId: string }) {
  return (
    <>
      <Typography component="span" variant="body2" sx={{ display: 'block' }}>
        <strong>{answers[look.answer]}.</strong> {look.seen}.{' '}
        {look.answer !== 'CARRY_ON' && look.because.map((each) => each.seen).join('; ')}
      </Typography>
      {look.photos.length > 0 && (
        <Box component="span" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
          {look.photos.map((photo, index) => (
            <a key={photo} href={photoAddress(pieceId, look.id, photo)} target="_blank" rel="noreferrer">
              <img
                src={photoAddress(pieceId, look.id, photo)}
                alt={`Picture ${index + 1} of this look`}
                style={{ height: 96, display: 'block' }}
              />
            </a>
          ))}
        </Box>
      )}
    </>
  );
}
