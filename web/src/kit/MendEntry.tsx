import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import { fieldsOf } from './form/fields';
import { Form } from './form/Form';
import { useKeptForm } from './form/keptForm';
import { mendInOutbox, type Waiting } from './outbox';
import { useUnits } from './units';

interface Text {
  weight: string;
  words: string;
  at: string;
}

const Mended = fieldsOf<Text>();

/** Puts an entry right that was refused while it waited on this device. */
export function MendEntry({ each, onDone }: { each: Waiting; onDone: () => void }) {
  const units = useUnits();
  const { entry } = each;
  const weighs = (entry.grams ?? 0) > 0;
  const before: Text = {
    weight: weighs ? units.weightForField(entry.grams ?? 0) : '',
    words: entry.words ?? '',
    at: entry.at ? dayjs(entry.at).format('YYYY-MM-DDTHH:mm') : '',
  };
  const form = useKeptForm<Text>(`mend ${each.entryId}`, () => before);
  const { weight, words, at } = form.values;
  const grams = weighs ? units.readWeight(weight) : 0;
  const save = () => {
    if (grams === null) {
      return;
    }
    const tag = each.name.split(':')[0] ?? '';
    mendInOutbox(
      each.entryId,
      {
        grams,
        words: words.trim(),
        ...(at !== '' && at !== before.at && { at: dayjs(at).toISOString() }),
      },
      weighs ? `${tag}: ${units.weight(grams)}` : each.name,
    );
    form.clear();
    onDone();
  };
  return (
    <Form
      form={form}
      failure={null}
      onSubmit={save}
      label={`Correct ${each.name}`}
      sx={{ display: 'grid', gap: 2, maxWidth: 420, py: 1 }}
    >
      {weighs && <Mended.Weight name="weight" label="Weight" autoFocus />}
      <Mended.Text name="words" label="Note" most={2000} />
      <Mended.Day name="at" label="When it was" clock />
      <Box>
        <Button type="submit" variant="contained" disabled={weighs && !grams}>
          Send it again
        </Button>
      </Box>
    </Form>
  );
}
