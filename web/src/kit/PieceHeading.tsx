import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { PieceCard } from '../api/client';
import { SectionGlyph } from './SectionGlyph';

interface Props {
  card: PieceCard;
  /** Where it is, in a line. */
  children: ReactNode;
  more?: ReactNode;
}

/** Which piece is in hand, above what is entered about it. */
export function PieceHeading({ card, children, more }: Props) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <SectionGlyph shape={card.shape} section={card.section} size={84} />
      <Box>
        <Typography variant="h2" component="p">
          {card.tag} {card.cutName}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>{children}</Typography>
        {more}
      </Box>
    </Box>
  );
}
