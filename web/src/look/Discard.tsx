import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Answers } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { useWriteEntry } from '../kit/entries';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useUnits } from '../kit/units';

interface Text {
  weight: string;
  words: string;
}

const Gone = fieldsOf<Text>();
const names = { grams: 'weight' };
const layout = { display: 'grid', gap: 1.5 };

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
  const form = useKeptForm<Text>(`cut away ${pieceId}`, () => ({ weight: '', words: '' }));
  const submit = () => {
    const grams = units.readWeight(form.values.weight) ?? 0;
    write.mutate(
      { entry: { kind: 'CUT_AWAY', grams }, said: `${tag}: ${units.weight(grams)} cut away` },
      { onSuccess: form.clear },
    );
  };
  if (write.isSuccess) {
    return (
      <Typography>It is cut away and stands in the ledger as discard. Look again where it was.</Typography>
    );
  }
  return (
    <Form
      form={form}
      failure={write.error}
      names={names}
      onChange={write.startOver}
      onSubmit={submit}
      sx={layout}
    >
      <Typography>Cut it out with a margin, change knives, weigh what went.</Typography>
      <Gone.Weight name="weight" label="Weight cut away" required="Weigh what went." />
      <Save grave busy={write.isPending} failure={write.error}>
        Cut away
      </Save>
    </Form>
  );
}

function All({ pieceId, tag }: { pieceId: string; tag: string }) {
  const units = useUnits();
  const [id, setId] = useState(newId);
  const form = useKeptForm<Text>(`discard ${pieceId}`, () => ({ weight: '', words: '' }));
  const discard = useMutation({
    mutationFn: (answers: Answers) =>
      api.PUT('/api/pieces/{id}/discard/{entryId}', {
        params: { path: { id: pieceId, entryId: id } },
        body: {
          grams: units.readWeight(form.values.weight) ?? 0,
          words: form.values.words.trim(),
          answers,
        },
      }),
    onSuccess: async () => {
      form.clear();
      setId(newId());
      await refresh();
    },
  });
  if (discard.isSuccess) {
    return <Typography>{tag} is thrown away: taken down, weighed as discard, its bench closed.</Typography>;
  }
  return (
    <Form
      form={form}
      failure={discard.error}
      names={names}
      onChange={discard.reset}
      onSubmit={() => discard.mutate({})}
      sx={layout}
    >
      <Typography>Take it down, weigh it once more, and throw all of it away.</Typography>
      <Gone.Weight name="weight" label="Weight thrown away" required="Weigh it once more." />
      <Gone.Text name="words" label="Why" required="Say why." />
      <Save
        grave
        busy={discard.isPending}
        failure={discard.error}
        onAnswer={(answers) => discard.mutate(answers)}
      >
        Throw {tag} away
      </Save>
    </Form>
  );
}
