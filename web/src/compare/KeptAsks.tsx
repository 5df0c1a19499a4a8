import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { useAsks } from '../api/compare';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';

/** Questions that were kept, and the one that stands there to be kept. */
export function KeptAsks({ query }: { query: string }) {
  const asks = useAsks();
  const [id, setId] = useState(newId);
  const [name, setName] = useState('');
  const keep = useMutation({
    mutationFn: () =>
      answer(api.PUT('/api/asks/{id}', { params: { path: { id } }, body: { version: 0, name, query } })),
    onSuccess: async () => {
      setId(newId());
      setName('');
      await refresh();
    },
  });
  const drop = useMutation({
    mutationFn: (ask: Schema['AskView']) =>
      answer(
        api.PUT('/api/asks/{id}/drop', { params: { path: { id: ask.id } }, body: { version: ask.version } }),
      ),
    onSuccess: refresh,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <Box component="section" aria-label="Kept questions" sx={{ display: 'grid', gap: 1 }}>
      <Box
        component="ul"
        sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', columnGap: 2.5 }}
      >
        {asks.data?.map((ask) => (
          <Box component="li" key={ask.id} sx={{ display: 'flex', alignItems: 'center', minHeight: 40 }}>
            <MuiLink
              component={Link}
              to={`/compare?${ask.query}`}
              sx={{ color: 'secondary.main', fontWeight: 560 }}
            >
              {ask.name}
            </MuiLink>
            <Button
              size="small"
              color="inherit"
              aria-label={`Drop the question ${ask.name}`}
              onClick={() => drop.mutate(ask)}
              sx={{ minWidth: 32 }}
            >
              ×
            </Button>
          </Box>
        ))}
      </Box>
      <Box component="form" noValidate onSubmit={submit} sx={{ display: 'flex', gap: 1, maxWidth: 520 }}>
        <TextField
          size="small"
          label="Keep this question as"
          value={name}
          onChange={(event) => setName(event.target.value)}
          sx={{ flex: 1 }}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Button type="submit" variant="outlined" disabled={name.trim() === '' || keep.isPending}>
          Keep
        </Button>
      </Box>
      <ProblemNotice failure={keep.error ?? drop.error} />
    </Box>
  );
}
