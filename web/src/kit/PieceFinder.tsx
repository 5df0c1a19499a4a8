import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { PieceCard } from '../api/client';
import { queryClient } from '../api/house';
import { taggedQuery, useTagged } from '../api/pieces';
import { SectionGlyph } from './SectionGlyph';

/** Finds a piece by its tag. */
export function PieceFinder({
  label,
  onPick,
  autoFocus,
  id,
  size = 'medium',
}: {
  label: string;
  onPick: (piece: PieceCard) => void;
  autoFocus?: boolean;
  id?: string;
  size?: 'small' | 'medium';
}) {
  const [typed, setTyped] = useState('');
  const tag = typed.replace(/[^0-9a-zA-Z]/g, '');
  const found = useTagged(tag);
  const pick = (piece: PieceCard) => {
    setTyped('');
    onPick(piece);
  };
  /** Who types fast presses Enter before anything was found: it is found then. */
  const pickTyped = async () => {
    const all = await queryClient.fetchQuery(taggedQuery(tag));
    const piece =
      all.find((each) => each.tag.toLowerCase() === tag.toLowerCase()) ?? (all.length === 1 && all[0]);
    if (piece) {
      pick(piece);
    }
  };
  return (
    <Autocomplete<PieceCard, false, false, false>
      id={id}
      size={size}
      autoHighlight
      clearOnBlur
      forcePopupIcon={false}
      value={null}
      inputValue={typed}
      onInputChange={(_, next) => setTyped(next)}
      options={tag === '' ? [] : (found.data ?? [])}
      filterOptions={(options) => options}
      getOptionLabel={(piece) => piece.tag}
      isOptionEqualToValue={(one, other) => one.id === other.id}
      noOptionsText={tag === '' ? 'Type a tag, such as 23A' : 'No piece has such a tag'}
      onChange={(_, piece) => piece && pick(piece)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault(); // it chooses the piece, and sends no form
          if (tag !== '' && (found.isPlaceholderData || !found.data)) {
            void pickTyped();
          }
        }
      }}
      renderOption={(props, piece) => (
        <Box component="li" {...props} key={piece.id} sx={{ gap: 1.5 }}>
          <SectionGlyph shape={piece.shape} section={piece.section} size={28} />
          <strong>{piece.tag}</strong> {piece.cutName}
        </Box>
      )}
      renderInput={(params) => <TextField {...params} label={label} autoFocus={autoFocus} />}
    />
  );
}
