import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { type FormEvent, useRef, useState } from 'react';
import type { Schema } from '../api/client';
import { useWriteEntry } from '../kit/entries';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { Chips } from '../look/Chips';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import type { Shown, useScales } from '../weigh/scale';
import { ScaleBar } from '../weigh/ScaleBar';
import { PileButtons } from './PileButtons';
import { PileNames } from './PileNames';
import { entryOf, nameOf, piles, type Pile } from './piles';
import { Weighed } from './Weighed';
import { discardCauses, type DiscardCause } from './words';

interface Props {
  bench: Schema['BenchView'];
  using: ReturnType<typeof useScales>;
  shown: Shown | null;
}

/**
 * The piles: lay a container on the scale, or type what it weighs, and touch the pile it goes onto. Several containers to
 * a pile add up.
 */
export function Piles({ bench, using, shown }: Props) {
  const units = useUnits();
  const { card } = bench.piece;
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const [typing, setTyping] = useState(false);
  const [keptLaying, setKeptLaying] = useState(0);
  const [last, setLast] = useState<Pile>('STEAKS');
  const [count, setCount] = useState(0);
  const [cause, setCause] = useState<DiscardCause>('CRUST');
  const [name, setName] = useState('');
  const [untrimmed, setUntrimmed] = useState(false);
  const write = useWriteEntry(card.id);
  const live = shown && !typing && text === '' ? shown : null;
  const grams = live ? (isKeepable(live, keptLaying) ? live.grams : null) : units.readWeight(text);
  const ready = grams !== null && grams > 0 && !write.isPending;
  const put = (pile: Pile) => {
    if (!ready) {
      return;
    }
    setLast(pile);
    write.mutate(
      {
        entry: entryOf(pile, grams, { count, cause, name, untrimmed }),
        said: `${name.trim() || piles[pile].label}: ${units.weight(grams)}`,
      },
      {
        onSuccess: () => {
          setText('');
          field.current?.focus({ preventScroll: true });
          setKeptLaying(live?.laying ?? keptLaying);
        },
      },
    );
  };
  const nothing = bench.piece.log.every((entry) => entry.kind !== 'PILE' || !entry.stands);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    put(last);
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      noValidate
      sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}
    >
      <Box>
        <ScaleBar using={using} shown={shown} />
        {live ? (
          <LiveWeight
            shown={live}
            keptLaying={keptLaying}
            tag="a container"
            ready="Steady: touch the pile it goes onto"
            onType={() => setTyping(true)}
          />
        ) : (
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start' }}>
            <WeightField
              label="Weight of the container"
              text={text}
              onText={(next) => {
                setText(next);
                write.startOver();
              }}
              big
              autoFocus
              inputRef={field}
              helper={`then touch its pile; Enter: onto ${piles[last].label.toLowerCase()}`}
            />
            {shown && (
              <Button color="inherit" onClick={() => setTyping(false)} sx={{ minHeight: 76 }}>
                From the scale
              </Button>
            )}
          </Box>
        )}
      </Box>
      <PileButtons bench={bench} ready={ready} count={count} onCount={setCount} onPut={put} />
      {nothing && count > 0 && (
        <Button
          variant="outlined"
          color="inherit"
          disabled={write.isPending}
          onClick={() =>
            write.mutate({ entry: { kind: 'COUNTED', steaks: count }, said: `${count} steaks, not weighed` })
          }
          sx={{ justifySelf: 'start', minHeight: 48 }}
        >
          {count} {count === 1 ? 'steak' : 'steaks'}, not weighed
        </Button>
      )}
      {/* With more than one field a form is sent by Enter only where it has a button to send it. */}
      <button type="submit" hidden />
      <PileNames names={bench.pileNames} name={name} onName={setName} />
      <FormControlLabel
        control={<Checkbox checked={untrimmed} onChange={(_, next) => setUntrimmed(next)} />}
        label="Untrimmed: to be cleaned and weighed again when it is thawed"
      />
      <Chips
        label="What is thrown away is"
        words={discardCauses}
        chosen={[cause]}
        onChange={(chosen) => setCause(chosen[0] ?? 'CRUST')}
      />
      <ProblemNotice failure={write.error} />
      <Weighed
        log={bench.piece.log}
        nameOf={(entry) => nameOf(entry)}
        onTakeBack={(entry) => write.mutate({ entry: { kind: 'TAKEN_BACK', corrects: entry.id } })}
      />
    </Box>
  );
}
