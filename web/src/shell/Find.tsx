import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { queryClient } from '../api/house';
import { knownTagged } from '../api/pieces';
import { isReached } from '../api/reach';
import { useDebouncedValue } from '../kit/debounced';

type Found = Schema['Found'];

const kinds: Record<Found['kind'], string> = {
  PIECE: 'Piece',
  LOT: 'Lot',
  ANIMAL: 'Animal',
  TRIAL: 'Trial',
  TASTING: 'Tasting',
  PACK: 'Pack',
  NOTE: 'Note',
};

const findQuery = (words: string) => ({
  queryKey: ['find', words],
  queryFn: () =>
    answer(api.GET('/api/find', { params: { query: { words } } })).catch((failure: unknown) => {
      if (isReached()) {
        throw failure;
      }
      return knownTagged(words).map((piece): Found => ({
        kind: 'PIECE',
        name: piece.tag,
        more: piece.cutName,
        at: `/pieces/${piece.id}`,
      }));
    }),
});

/** Finds whatever has a tag, a number or words. The key `/` leads here. */
export function Find() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const words = typed.trim();
  const settled = useDebouncedValue(words, 150);
  const found = useQuery({ ...findQuery(settled), enabled: settled !== '' });
  const open = (each: Found | undefined) => {
    if (each) {
      setTyped('');
      document.getElementById('find')?.blur(); // the keys go on to what was found
      void navigate(each.at);
    }
  };
  return (
    <Box role="search" sx={{ width: { sm: 240 }, minWidth: 0, flex: { xs: '1 1 5rem', sm: 'none' } }}>
      <Autocomplete<Found, false, false, false>
        id="find"
        size="small"
        autoHighlight
        clearOnBlur
        forcePopupIcon={false}
        value={null}
        inputValue={typed}
        onInputChange={(_, next) => setTyped(next)}
        options={words === '' ? [] : (found.data ?? [])}
        filterOptions={(options) => options}
        groupBy={({ kind }) => kinds[kind]}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ kind, at, name, more }) => `${kind} ${at} ${name} ${more}`}
        isOptionEqualToValue={(one, other) => one.at === other.at}
        noOptionsText={
          words === ''
            ? 'A tag, a number, a supplier, words of a note'
            : found.data
              ? 'Nothing has that in it'
              : '…'
        }
        slotProps={{ popper: { sx: { minWidth: 320 } } }}
        onChange={(_, each) => open(each ?? undefined)}
        onKeyDown={(event) => {
          // Who types fast presses Enter before anything was found: it is found then.
          if (event.key === 'Enter' && words !== '' && (settled !== words || !found.data)) {
            event.preventDefault();
            void queryClient.fetchQuery(findQuery(words)).then((all) => open(all[0]));
          }
        }}
        renderOption={({ key, ...props }, each) => (
          <Box component="li" key={key} {...props} sx={{ gap: 1.5, minHeight: 44 }}>
            <Box component="span" sx={{ fontWeight: 640 }}>
              {each.name}
            </Box>
            <Box
              component="span"
              sx={{ color: 'text.secondary', overflow: 'hidden', textOverflow: 'ellipsis' }}
            >
              {each.more}
            </Box>
          </Box>
        )}
        renderInput={(params) => <TextField {...params} label="Find" />}
      />
    </Box>
  );
}
