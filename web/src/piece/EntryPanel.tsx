import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useLayoutEffect, useRef, useState, type FormEvent } from 'react';
import type { Answers, PieceView, Schema } from '../api/client';
import { useDraft } from '../kit/drafts';
import { useWriteEntry } from '../kit/entries';
import { ProblemNotice, Questions } from '../kit/Notices';
import { PieceHeading } from '../kit/PieceHeading';
import { percent, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import type { Shown } from '../weigh/scale';

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

interface Draft {
  weight: string;
  words: string;
  at: string;
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

/** One entry for one piece: the figure large, the last weight beside it, questions before it is kept. */
export function EntryPanel({ piece, kind, corrects, onSaved, scale }: Props) {
  const units = useUnits();
  const { card } = piece;
  const [draft, setDraft, clearDraft] = useDraft<Draft>(`${kind} ${corrects?.id ?? card.id}`, () => ({
    weight: corrects && kind !== 'NOTE' ? units.weightForField(corrects.grams) : '',
    words: kind === 'NOTE' ? (corrects?.words ?? '') : '',
    at: '',
  }));
  const [askWhen, setAskWhen] = useState(draft.at !== '');
  const write = useWriteEntry(card.id);
  const words = wording[kind];
  const [typing, setTyping] = useState(draft.weight !== '');
  const live = scale && !typing ? scale : null;
  // What a question was asked about stays the weight, though the piece is lifted meanwhile.
  const [asked, setAsked] = useState<number | null>(null);
  const fromScale = live && isKeepable(live.shown, live.keptLaying) ? live.shown.grams : null;
  const grams = kind === 'NOTE' ? 0 : live ? fromScale : units.readWeight(draft.weight);
  const ready = kind === 'NOTE' ? draft.words.trim() !== '' : grams !== null && grams > 0;
  const button = useRef<HTMLButtonElement>(null);
  // Before the words that say so are painted: a key that is pressed in between would be lost.
  useLayoutEffect(() => {
    // Enter keeps a steady figure, wherever the keys were before; but a note that is being written is left alone.
    const writing = document.activeElement?.closest('form') === button.current?.form;
    if (fromScale !== null && !writing) {
      button.current?.focus({ preventScroll: true });
    }
  }, [fromScale]);

  const change = (part: Partial<Draft>) => {
    setDraft({ ...draft, ...part });
    write.startOver();
  };
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
          words: draft.words.trim(),
          at: draft.at === '' ? undefined : dayjs(draft.at).toISOString(),
          corrects: corrects?.id,
          answers,
        },
        said: kind === 'NOTE' ? `${card.tag}: noted` : `${name} saved`,
      },
      {
        onSuccess: () => {
          clearDraft();
          onSaved();
        },
      },
    );
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (ready) {
      save({});
    }
  };

  return (
    <Stack component="form" spacing={2} onSubmit={submit} noValidate>
      <PieceHeading
        card={card}
        more={
          <Typography>
            Last {units.weight(card.nowGrams)}, {percent(card.shrinkFraction)} gone
            {card.expectedNowGrams != null && `; expected now ${units.weight(card.expectedNowGrams)}`}
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
          onType={() => setTyping(true)}
        />
      )}
      {kind !== 'NOTE' && !live && (
        <WeightField
          label={words.ask}
          text={draft.weight}
          onText={(weight) => change({ weight })}
          big
          autoFocus
        />
      )}
      <TextField
        label={words.words}
        value={draft.words}
        onChange={(event) => change({ words: event.target.value })}
        autoFocus={kind === 'NOTE'}
        multiline={kind === 'NOTE'}
        minRows={kind === 'NOTE' ? 3 : undefined}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      {askWhen ? (
        <TextField
          label="When it was"
          type="datetime-local"
          value={draft.at}
          onChange={(event) => change({ at: event.target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      ) : (
        !corrects && (
          <Link
            component="button"
            type="button"
            onClick={() => setAskWhen(true)}
            sx={{ alignSelf: 'flex-start', minHeight: 32 }}
          >
            It was earlier: enter when
          </Link>
        )
      )}
      <ProblemNotice failure={write.error} />
      <Questions
        failure={write.error}
        busy={write.isPending}
        keep={asked ? `Keep ${units.weight(asked)}` : undefined}
        onAnswer={save}
      />
      <Button
        ref={button}
        type="submit"
        variant="contained"
        size="large"
        disabled={!ready || write.isPending}
        sx={{ minHeight: 56, fontSize: '1.1rem' }}
      >
        {words.save}
      </Button>
    </Stack>
  );
}
