import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type PieceView } from '../api/client';
import { refresh } from '../api/house';
import { newId, useDraft } from '../kit/drafts';
import { useUndo } from '../kit/entries';
import { ProblemNotice } from '../kit/Notices';
import { PieceHeading } from '../kit/PieceHeading';
import { Chips } from './Chips';
import { PhotoPicker } from './PhotoPicker';
import { sendPhoto } from './photos';
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

type Draft = Omit<LookForm, 'colour' | 'surface' | 'smell' | 'at'> & {
  colour: LookForm['colour'] | null;
  surface: LookForm['surface'] | null;
  smell: LookForm['smell'] | null;
};

const nothing: Draft = {
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

const first = <T,>(chosen: T[]): T | null => chosen[0] ?? null;

/** What is seen and smelled on one piece, answered when it is kept. */
export function LookPanel({ piece, onKept }: { piece: PieceView; onKept: (look: LookView) => void }) {
  const { card } = piece;
  const [draft, setDraft, clearDraft] = useDraft<Draft>(`look ${card.id}`, () => nothing);
  const [photos, setPhotos] = useState<File[]>([]);
  const [lookId, setLookId] = useState(newId);
  const undo = useUndo();
  const change = (part: Partial<Draft>) => {
    setDraft({ ...draft, ...part });
    keep.reset();
  };
  const { colour, surface, smell } = draft;
  const keep = useMutation({
    networkMode: 'always',
    mutationFn: async (body: LookForm) => {
      const looks = await answer(
        api.PUT('/api/pieces/{id}/looks/{entryId}', {
          params: { path: { id: card.id, entryId: lookId } },
          body,
        }),
      );
      for (const photo of photos) {
        await sendPhoto(card.id, lookId, photo);
      }
      return looks.find((each) => each.id === lookId);
    },
    onSuccess: (look) => {
      clearDraft();
      setPhotos([]);
      setLookId(newId());
      undo(`${card.tag}: look kept`, card.id, lookId);
      void refresh();
      if (look) {
        onKept(look);
      }
    },
  });
  const missing = [!colour && 'colour', !surface && 'surface', !smell && 'smell'].filter(Boolean);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (colour && surface && smell) {
      keep.mutate({ ...draft, colour, surface, smell, words: draft.words.trim() });
    }
  };
  return (
    <Stack component="form" spacing={2.5} onSubmit={submit} noValidate>
      <PieceHeading card={card}>
        {card.chamberName}, {card.methodLabel?.toLowerCase()}, day {card.dayNumber} of {card.targetDays}
      </PieceHeading>
      <Chips
        label="Colour"
        words={colours}
        chosen={colour ? [colour] : []}
        onChange={(chosen) => change({ colour: first(chosen) })}
      />
      <Chips
        label="Surface, under a gloved finger"
        words={surfaces}
        chosen={surface ? [surface] : []}
        onChange={(chosen) => change({ surface: first(chosen) })}
      />
      <Chips
        label="Mould"
        words={moulds}
        several
        none="none"
        chosen={draft.moulds}
        onChange={(chosen) =>
          change({
            moulds: chosen,
            extent: chosen.length === 0 ? 'NONE' : draft.extent === 'NONE' ? 'SPOTS' : draft.extent,
          })
        }
      />
      {draft.extent !== 'NONE' && (
        <Chips
          label="How much mould"
          words={extents}
          chosen={[draft.extent]}
          onChange={(chosen) => change({ extent: first(chosen) ?? 'SPOTS' })}
        />
      )}
      <Chips
        label="Smell, close to it"
        words={smells}
        chosen={smell ? [smell] : []}
        onChange={(chosen) => change({ smell: first(chosen) })}
      />
      {card.method === 'MEMBRANE' && (
        <>
          <Chips
            label="Membrane"
            words={lifted}
            chosen={[String(draft.liftedPercent)]}
            onChange={(chosen) => change({ liftedPercent: Number(first(chosen) ?? 0) })}
          />
          <Chips
            label="Its seal"
            words={{ CLOSED: 'closed', OPEN: 'open' }}
            chosen={[draft.sealOpen ? 'OPEN' : 'CLOSED']}
            onChange={(chosen) => change({ sealOpen: first(chosen) === 'OPEN' })}
          />
        </>
      )}
      <Chips
        label="Anything else"
        words={spots}
        several
        none="nothing"
        chosen={draft.spots}
        onChange={(chosen) => change({ spots: chosen })}
      />
      <Chips
        label="What is bad, if anything, goes"
        words={depths}
        chosen={[draft.depth]}
        onChange={(chosen) => change({ depth: first(chosen) ?? 'PART' })}
      />
      <TextField
        label="Note (optional)"
        value={draft.words}
        onChange={(event) => change({ words: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      <PhotoPicker photos={photos} onChange={setPhotos} />
      <ProblemNotice failure={keep.error} />
      <Button
        type="submit"
        variant="contained"
        size="large"
        disabled={missing.length > 0 || keep.isPending}
        sx={{ minHeight: 56, fontSize: '1.1rem' }}
      >
        {missing.length > 0 ? `Say its ${missing.join(', ')}` : 'Keep the look'}
      </Button>
    </Stack>
  );
}
