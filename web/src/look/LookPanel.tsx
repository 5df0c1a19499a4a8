import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { PieceView } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { offerUndo } from '../kit/undo';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { PieceHeading } from '../kit/PieceHeading';
import { Chips } from './Chips';
import { PhotoPicker } from './PhotoPicker';
import { keepLook } from '../kit/looks';
import {
  colours,
  depths,
  extents,
  lifted,
  moulds,
  smells,
  spots,
  surfaces,
  type LookForm,
  type LookView,
} from './words';

type Seen = Omit<LookForm, 'colour' | 'surface' | 'smell' | 'at'> & {
  colour: LookForm['colour'] | null;
  surface: LookForm['surface'] | null;
  smell: LookForm['smell'] | null;
};

const nothing: Seen = {
  colour: null,
  surface: null,
  smell: null,
  moulds: [],
  extent: 'NONE',
  spots: [],
  depth: 'PART',
  liftedPercent: 0,
  sealOpen: false,
  words: '',
};

const Look = fieldsOf<Seen>();

/** What was seen before, as it would be told now; its words were of that day. */
const asBefore = ({ observed }: LookView): Partial<Seen> => ({ ...observed, words: '' });

const first = <T,>(chosen: T[]): T | null => chosen[0] ?? null;

/** What is seen and smelled on one piece, answered when it is kept. */
interface Props {
  piece: PieceView;
  /** The look before, if there was one. */
  last?: LookView;
  onKept: (look: LookView | null) => void;
}

export function LookPanel({ piece, last, onKept }: Props) {
  const { card } = piece;
  const form = useKeptForm<Seen>(`look ${card.id}`, () => nothing);
  const { values: seen, change } = form;
  const [photos, setPhotos] = useState<File[]>([]);
  const [lookId, setLookId] = useState(newId);
  const { colour, surface, smell } = seen;
  const keep = useMutation({
    mutationFn: (body: LookForm) => keepLook(card.id, lookId, `${card.tag}: look`, body, photos),
    onSuccess: (look) => {
      form.clear();
      setPhotos([]);
      setLookId(newId());
      offerUndo(look ? `${card.tag}: look kept` : `${card.tag}: look kept on this device`, {
        kind: 'ENTRY',
        pieceId: card.id,
        entryId: lookId,
      });
      void refresh();
      onKept(look);
    },
  });
  const missing = [!colour && 'colour', !surface && 'surface', !smell && 'smell'].filter(Boolean);
  const submit = () => {
    if (colour && surface && smell) {
      keep.mutate({ ...seen, colour, surface, smell, words: seen.words.trim() });
    }
  };
  return (
    <Form
      form={form}
      failure={keep.error}
      onChange={keep.reset}
      onSubmit={submit}
      sx={{ display: 'grid', gap: 2.5 }}
    >
      <PieceHeading card={card}>
        {card.chamberName}, {card.methodLabel?.toLowerCase()}, day {card.dayNumber} of {card.targetDays}
      </PieceHeading>
      {last && (
        <Button
          variant="outlined"
          onClick={() => change(asBefore(last))}
          sx={{ justifySelf: 'start', minHeight: 52, px: 3 }}
        >
          All as last time: {last.seen}
        </Button>
      )}
      <Chips
        label="Colour"
        words={colours}
        drawn="COLOUR"
        chosen={colour ? [colour] : []}
        onChange={(chosen) => change({ colour: first(chosen) })}
      />
      <Chips
        label="Surface, under a gloved finger"
        words={surfaces}
        drawn="SURFACE"
        chosen={surface ? [surface] : []}
        onChange={(chosen) => change({ surface: first(chosen) })}
      />
      <Chips
        label="Mould"
        words={moulds}
        drawn="MOULD"
        several
        none="none"
        chosen={seen.moulds}
        onChange={(chosen) =>
          change({
            moulds: chosen,
            extent: chosen.length === 0 ? 'NONE' : seen.extent === 'NONE' ? 'SPOTS' : seen.extent,
          })
        }
      />
      {seen.extent !== 'NONE' && (
        <Chips
          label="How much mould"
          words={extents}
          drawn="EXTENT"
          chosen={[seen.extent]}
          onChange={(chosen) => change({ extent: first(chosen) ?? 'SPOTS' })}
        />
      )}
      <Chips
        label="Smell, close to it"
        words={smells}
        drawn="SMELL"
        chosen={smell ? [smell] : []}
        onChange={(chosen) => change({ smell: first(chosen) })}
      />
      {card.method === 'MEMBRANE' && (
        <>
          <Chips
            label="Membrane"
            words={lifted}
            drawn="LIFTED"
            chosen={[String(seen.liftedPercent)]}
            onChange={(chosen) => change({ liftedPercent: Number(first(chosen) ?? 0) })}
          />
          <Chips
            label="Its seal"
            words={{ CLOSED: 'closed', OPEN: 'open' }}
            drawn="SEAL"
            chosen={[seen.sealOpen ? 'OPEN' : 'CLOSED']}
            onChange={(chosen) => change({ sealOpen: first(chosen) === 'OPEN' })}
          />
        </>
      )}
      <Chips
        label="Anything else"
        words={spots}
        drawn="SPOT"
        several
        none="nothing"
        chosen={seen.spots}
        onChange={(chosen) => change({ spots: chosen })}
      />
      <Chips
        label="What is bad, if anything, goes"
        words={depths}
        chosen={[seen.depth]}
        onChange={(chosen) => change({ depth: first(chosen) ?? 'PART' })}
      />
      <Look.Text name="words" label="Note (optional)" most={2000} />
      <PhotoPicker photos={photos} onChange={setPhotos} />
      <Save busy={keep.isPending} failure={keep.error} disabled={missing.length > 0}>
        {missing.length > 0 ? `Say its ${missing.join(', ')}` : 'Keep the look'}
      </Save>
    </Form>
  );
}
