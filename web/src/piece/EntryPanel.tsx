import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useLayoutEffect, useRef, useState } from 'react';
import { isField } from '../kit/focus';
import type { Answers, PieceView, Schema } from '../api/client';
import { useWriteEntry } from '../kit/entries';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { PieceHeading } from '../kit/PieceHeading';
import { useUnits } from '../kit/units';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import type { Shown } from '../weigh/scale';
import { gone, neverWeighed } from '../kit/weighed';

export type EntryKind = Extract<
  Schema['EntryForm']['kind'],
  'WEIGHED' | 'PULLED' | 'UNWRAPPED' | 'WITHDRAWN' | 'CUT_AWAY' | 'COAT_ON' | 'COAT_OFF' | 'NOTE'
>;

const wording: Record<EntryKind, { ask: string; save: string; words: string }> = {
  WEIGHED: { ask: 'Weight on the scale', save: 'Save weight', words: 'Note (optional)' },
  PULLED: { ask: 'Weight at the pull', save: 'Pull it', words: 'Note (optional)' },
  UNWRAPPED: { ask: 'Weight without wrap and string', save: 'Save weight', words: 'Note (optional)' },
  WITHDRAWN: { ask: 'Weight of the slice', save: 'Save slice', words: 'What for (optional)' },
  CUT_AWAY: { ask: 'Weight cut away', save: 'Cut away', words: 'What was wrong (optional)' },
  COAT_ON: { ask: 'Weight of the coat', save: 'Save coat', words: 'Which coat' },
  COAT_OFF: { ask: 'Weight of the coat as it came off', save: 'Save', words: 'Note (optional)' },
  NOTE: { ask: '', save: 'Save note', words: 'What you saw or did' },
};

/** What was set aside fresh is not pulled from anywhere. */
const toTheBench = { ask: 'Weight on the scale', save: 'To the bench', words: 'Note (optional)' };

interface Text {
  weight: string;
  words: string;
  at: string;
  /** Whether there was no scale; of a pull only. */
  estimated: boolean;
}

interface Props {
  piece: PieceView;
  kind: EntryKind;
  /** The entry to be corrected, if this is a correction. */
  corrects?: Schema['EntryView'];
  onSaved: () => void;
  /** A scale that sends its figure, and how many layings of it were kept already. */
  scale?: { shown: Shown; keptLaying: number };
}

const Entry = fieldsOf<Text>();

/** One entry for one piece: the figure large, the last weight beside it, questions before it is kept. */
export function EntryPanel({ piece, kind, corrects, onSaved, scale }: Props) {
  const units = useUnits();
  const { card } = piece;
  const form = useKeptForm<Text>(`${kind} ${corrects?.id ?? card.id}`, () => ({
    weight: corrects && kind !== 'NOTE' ? units.weightForField(corrects.grams) : '',
    words: kind === 'NOTE' ? (corrects?.words ?? '') : '',
    at: '',
    estimated: false,
  }));
  const text = form.values;
  const [askWhen, setAskWhen] = useState(text.at !== '');
  const write = useWriteEntry(card.id);
  const words = card.state === 'FRESH' && kind === 'PULLED' ? toTheBench : wording[kind];
  const [typing, setTyping] = useState(false);
  // What a person typed stays until they clear it, whatever the scale says meanwhile.
  const live = scale && !typing && text.weight === '' ? scale : null;
  // What a question was asked about stays the weight, though the piece is lifted meanwhile.
  const [asked, setAsked] = useState<number | null>(null);
  const fromScale = live && isKeepable(live.shown, live.keptLaying) ? live.shown.grams : null;
  const grams = kind === 'NOTE' ? 0 : live ? fromScale : units.readWeight(text.weight);
  const ready = kind === 'NOTE' ? text.words.trim() !== '' : grams !== null && grams > 0;
  const button = useRef<HTMLButtonElement>(null);
  // Before the words that say so are painted: a key that is pressed in between would be lost.
  useLayoutEffect(() => {
    // Enter keeps a steady figure, unless a person is in a field: what they type there is meant for that.
    if (fromScale !== null && !isField(document.activeElement)) {
      button.current?.focus({ preventScroll: true });
    }
  }, [fromScale]);

  const save = (answers: Answers) => {
    const kept = Object.keys(answers).length > 0 ? (asked ?? grams) : grams;
    if (kept === null || (kept === 0 && kind !== 'NOTE')) {
      return;
    }
    setAsked(kept);
    const name = kind === 'NOTE' ? `${card.tag}: note` : `${card.tag}: ${units.weight(kept)}`;
    write.mutate(
      {
        name,
        entry: {
          kind,
          grams: kept,
          words: text.words.trim(),
          at: text.at === '' ? undefined : dayjs(text.at).toISOString(),
          corrects: corrects?.id,
          ...(kind === 'PULLED' && text.estimated && { estimated: true }),
          answers,
        },
        said: kind === 'NOTE' ? `${card.tag}: noted` : `${name} saved`,
      },
      {
        onSuccess: () => {
          form.clear();
          onSaved();
        },
      },
    );
  };
  return (
    <Form
      form={form}
      failure={write.error}
      names={{ grams: 'weight' }}
      onChange={write.startOver}
      onSubmit={() => ready && save({})}
      sx={{ display: 'grid', gap: 2 }}
    >
      <PieceHeading
        card={card}
        more={
          <Typography>
            {neverWeighed(card)
              ? `Hung at ${units.weight(card.greenGrams)}, never weighed since`
              : `Last ${units.weight(card.nowGrams)}, ${gone(card)}`}
            {card.expectedNowGrams != null && `; expected now ${units.about(card.expectedNowGrams)}`}
            {card.coatGrams > 0 &&
              `; its coat of ${units.weight(card.coatGrams)} is taken off the scale's figure`}
          </Typography>
        }
      >
        {card.chamberName}, day {card.dayNumber} of {card.targetDays}
      </PieceHeading>
      {live && (
        <LiveWeight
          shown={live.shown}
          keptLaying={live.keptLaying}
          tag={card.tag}
          named
          onType={() => setTyping(true)}
        />
      )}
      {kind !== 'NOTE' && !live && <Entry.Weight name="weight" label={words.ask} big autoFocus />}
      <Entry.Text
        name="words"
        label={words.words}
        autoFocus={kind === 'NOTE'}
        lines={kind === 'NOTE' ? 3 : undefined}
        most={2000}
      />
      {kind === 'PULLED' && !live && (
        <Entry.Check name="estimated" label="No scale here: an estimate, kept out of every figure" />
      )}
      {askWhen ? (
        <Entry.Day name="at" label="When it was" clock />
      ) : (
        !corrects && (
          <Link
            component="button"
            type="button"
            onClick={() => setAskWhen(true)}
            sx={{ justifySelf: 'start', minHeight: 48 }}
          >
            It was earlier: enter when
          </Link>
        )
      )}
      <Save
        button={button}
        inSight={live !== null}
        busy={write.isPending}
        disabled={!ready}
        failure={write.error}
        keep={asked ? `Keep ${units.weight(asked)}` : undefined}
        onAnswer={save}
      >
        {words.save}
      </Save>
    </Form>
  );
}
