import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, type Answers } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { useWriteEntry } from '../kit/entries';
import { ProblemNotice, Questions } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';

/** A part is cut away and weighed, or all of it is thrown away; either stands in the ledger as discard. */
export function Discard({ pieceId, tag, whole }: { pieceId: string; tag: string; whole: boolean }) {
  const [all, setAll] = useState(whole);
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 460 }}>
      {all ? <All pieceId={pieceId} tag={tag} /> : <Part pieceId={pieceId} tag={tag} />}
      <Button color="inherit" onClick={() => setAll(!all)} sx={{ justifySelf: 'start' }}>
        {all ? 'Only a part is bad' : 'It goes through: throw all of it away'}
      </Button>
    </Box>
  );
}

function Part({ pieceId, tag }: { pieceId: string; tag: string }) {
  const units = useUnits();
  const write = useWriteEntry(pieceId);
  const [text, setText] = useState('');
  const grams = units.readWeight(text);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (grams) {
      write.mutate({
        entry: { kind: 'CUT_AWAY', grams },
        said: `${tag}: ${units.weight(grams)} cut away`,
      });
    }
  };
  if (write.isSuccess) {
    return (
      <Typography>It is cut away and stands in the ledger as discard. Look again where it was.</Typography>
    );
  }
  return (
    <Box component="form" onSubmit={submit} noValidate sx={{ display: 'grid', gap: 1.5 }}>
      <Typography>Cut it out with a margin, change knives, weigh what went.</Typography>
      <WeightField
        label="Weight cut away"
        text={text}
        onText={(next) => {
          setText(next);
          write.startOver();
        }}
      />
      <ProblemNotice failure={write.error} />
      <Button
        type="submit"
        variant="contained"
        color="error"
        disabled={!grams || write.isPending}
        sx={{ minHeight: 48 }}
      >
        Cut away
      </Button>
    </Box>
  );
}

function All({ pieceId, tag }: { pieceId: string; tag: string }) {
  const units = useUnits();
  const [id, setId] = useState(newId);
  const [text, setText] = useState('');
  const [words, setWords] = useState('');
  const grams = units.readWeight(text);
  const discard = useMutation({
    mutationFn: (answers: Answers) =>
      api.PUT('/api/pieces/{id}/discard/{entryId}', {
        params: { path: { id: pieceId, entryId: id } },
        body: { grams: grams ?? 0, words: words.trim(), answers },
      }),
    onSuccess: async () => {
      setId(newId());
      await refresh();
    },
  });
  if (discard.isSuccess) {
    return <Typography>{tag} is thrown away: taken down, weighed as discard, its bench closed.</Typography>;
  }
  const submit = (event: FormEvent) => {
    event.preventDefault();
    discard.mutate({});
  };
  return (
    <Box component="form" onSubmit={submit} noValidate sx={{ display: 'grid', gap: 1.5 }}>
      <Typography>Take it down, weigh it once more, and throw all of it away.</Typography>
      <WeightField
        label="Weight thrown away"
        text={text}
        onText={(next) => {
          setText(next);
          discard.reset();
        }}
      />
      <TextField label="Why" value={words} onChange={(event) => setWords(event.target.value)} />
      <ProblemNotice failure={discard.error} />
      <Questions
        failure={discard.error}
        busy={discard.isPending}
        onAnswer={(answers) => discard.mutate(answers)}
      />
      <Button
        type="submit"
        variant="contained"
        color="error"
        disabled={!grams || words.trim() === '' || discard.isPending}
        sx={{ minHeight: 48 }}
      >
        Throw {tag} away
      </Button>
    </Box>
  );
}
