import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { Caution, ProblemNotice } from '../kit/Notices';
import { readNumber } from '../kit/units';
import { Pick } from './Pick';
import { contents, keepings, wraps, type Content, type Keeping, type Wrap } from './words';

/** How long the workshop itself lets packs be used. Elvaro has no rule of its own. */
export function Rules({ rules }: { rules: Schema['RuleView'][] }) {
  const [content, setContent] = useState<Content>('STEAK');
  const [wrap, setWrap] = useState<Wrap>('VACUUM');
  const [keeping, setKeeping] = useState<Keeping>('CHILLED');
  const known = rules.find(
    (rule) => rule.content === content && rule.wrap === wrap && rule.keeping === keeping,
  );
  const [typed, setTyped] = useState<string | null>(null);
  const days = typed ?? (known && known.days > 0 ? String(known.days) : '');
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/stock/rule', {
          body: { content, wrap, keeping, version: known?.version ?? 0, days: readNumber(days) ?? 0 },
        }),
      ),
    onSuccess: async () => {
      setTyped(null);
      await refresh();
    },
  });
  const choose = (set: () => void) => {
    set();
    setTyped(null);
    save.reset();
  };
  return (
    <Box component="section" aria-labelledby="rules" sx={{ mt: 5, display: 'grid', gap: 1.5, maxWidth: 760 }}>
      <Typography id="rules" variant="h2">
        Use by, by your own rule
      </Typography>
      {rules
        .filter((rule) => rule.days > 0)
        .map((rule) => (
          <Typography key={`${rule.content} ${rule.wrap} ${rule.keeping}`}>
            {contents[rule.content]}, {wraps[rule.wrap]}, {keepings[rule.keeping]}:{' '}
            <strong>{rule.days} days</strong>
          </Typography>
        ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Pick
          label="What"
          value={content}
          choices={contents}
          onChange={(next) => choose(() => setContent(next))}
          width={180}
        />
        <Pick
          label="In"
          value={wrap}
          choices={wraps}
          onChange={(next) => choose(() => setWrap(next))}
          width={130}
        />
        <Pick
          label="Kept"
          value={keeping}
          choices={keepings}
          onChange={(next) => choose(() => setKeeping(next))}
          width={130}
        />
        <TextField
          size="small"
          label="Days"
          value={days}
          onChange={(event) => setTyped(event.target.value)}
          sx={{ width: 96 }}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
        <Button variant="outlined" disabled={typed === null || save.isPending} onClick={() => save.mutate()}>
          Keep the rule
        </Button>
      </Box>
      <ProblemNotice failure={save.error} />
      <Caution of="OWN_PLAN" />
    </Box>
  );
}
