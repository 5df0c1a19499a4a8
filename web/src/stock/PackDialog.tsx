import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import type { Schema } from '../api/client';
import { refresh } from '../api/house';
import { useLeft, type Packable } from '../api/stock';
import { useDebouncedValue } from '../kit/debounced';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { FormGrid } from '../kit/FormGrid';
import { Caution } from '../kit/Notices';
import { days, useUnits } from '../kit/units';
import { firstPack, daysByRule, packBodies, weightOf, type PackText } from './draft';
import { contents, keepings, wraps, type Content } from './words';

interface Props {
  title: string;
  /** Where its draft is kept. */
  draft: string;
  /** What may be packed of it; the first is offered. */
  choices: readonly [Content, ...Content[]];
  /** What is packed. */
  of: Packable;
  stock: Schema['StockView'];
  /** Steaks that were weighed one by one, in grams. */
  weighed?: number[];
  /** Whether some of it lies there untrimmed. */
  untrimmed?: boolean;
  put: (packs: Schema['PackForm'][]) => Promise<unknown>;
  onClose: () => void;
}

const Packs = fieldsOf<PackText>();

/** What the server calls these. */
const names = { 'packs.*.grams': 'weights.*.text', 'packs.*.useBy': 'useBy', 'packs.*.packedOn': 'packedOn' };

const TYPING_MS = 200;

/** Packs what lies there: each weight a pack. */
export function PackDialog({
  title,
  draft,
  choices,
  of,
  stock,
  weighed = [],
  untrimmed = false,
  put,
  onClose,
}: Props) {
  const units = useUnits();
  const form = useKeptForm<PackText>(draft, () => ({
    ...firstPack(stock.today, choices[0]),
    toClean: untrimmed,
  }));
  const { values: text, change } = form;
  const bodies = packBodies(text, units);
  const save = useMutation({
    mutationFn: () => put(bodies),
    onSuccess: async () => {
      form.clear();
      await refresh();
      onClose();
    },
  });
  const left = useLeft(
    of,
    text.content,
    useDebouncedValue(
      bodies.map(({ grams }) => grams),
      TYPING_MS,
    ),
  );
  const byRule = daysByRule(text, stock.rules);
  const words = Object.fromEntries(choices.map((each) => [each, contents[each]])) as Record<Content, string>;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="pack">
      <DialogTitle id="pack" sx={{ typography: 'h2' }}>
        {title}
      </DialogTitle>
      <DialogContent>
        <Form
          form={form}
          failure={save.error}
          names={names}
          onChange={save.reset}
          onSubmit={() => bodies.length > 0 && save.mutate()}
          sx={{ display: 'grid', gap: 2 }}
        >
          <FormGrid dialog>
            <Packs.Choice size="small" name="content" label="What" choices={words} />
            <Packs.Choice size="small" name="wrap" label="In" choices={wraps} />
            <Packs.Choice size="small" name="keeping" label="Kept" choices={keepings} />
            <Packs.Text size="small" name="place" label="Where" most={80} />
            <Packs.Text size="small" name="name" label="Name of your own for it (optional)" most={40} />
            {untrimmed && <Packs.Check name="toClean" label="To clean when thawed" />}
            <Packs.Day size="small" name="packedOn" label="Packed" required />
            <Packs.Day
              size="small"
              name="useBy"
              label="Use by"
              helper={
                byRule > 0
                  ? `your own rule says ${days(byRule)} from packing, unless you write a day`
                  : 'you have no rule for this yet'
              }
            />
          </FormGrid>
          <Box
            sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1.5 }}
          >
            {text.weights.map((each, index) => (
              <Packs.Weight
                key={each.id}
                size="small"
                name={`weights.${index}.text`}
                autoFocus={index === text.weights.length - 1}
                label={`Pack ${index + 1}`}
              />
            ))}
            <Button onClick={() => change({ weights: [...text.weights, weightOf()] })}>One pack more</Button>
            {weighed.length > 0 &&
              text.content === 'STEAK' &&
              text.weights.every((each) => each.text === '') && (
                <Button
                  onClick={() =>
                    change({ weights: weighed.map((grams) => weightOf(units.weightForField(grams))) })
                  }
                >
                  Each steak as it was weighed
                </Button>
              )}
          </Box>
          {left !== undefined && (
            <Typography
              role="status"
              sx={{ fontWeight: 620, color: left < 0 ? 'warning.main' : 'text.primary' }}
            >
              {left >= 0
                ? `${units.weight(left)} is left to pack.`
                : `${units.weight(-left)} more than there was.`}
            </Typography>
          )}
          <Caution of="OWN_PLAN" />
          <Save
            busy={save.isPending}
            disabled={bodies.length === 0}
            failure={save.error}
            beside={
              <Button color="inherit" onClick={onClose}>
                Later
              </Button>
            }
          >
            Pack it
          </Save>
        </Form>
      </DialogContent>
    </Dialog>
  );
}
