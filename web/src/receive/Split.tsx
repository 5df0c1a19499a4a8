import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { useMethods } from '../api/pieces';
import { newId, useDraft } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits } from '../kit/units';
import { CuttingLoss } from './CuttingLoss';
import { pieceBody, SplitPiece, type PieceText } from './SplitPiece';

type Method = Schema['MethodView'];

/** Cut a lot into pieces and hang them. A lot that hangs whole is one piece. */
export function Split({ lot }: { lot: Schema['LotView'] }) {
  const methods = useMethods();
  const chambers = useChambers();
  if (!methods.data || !chambers.data) {
    return <Waiting failure={methods.error ?? chambers.error} />;
  }
  if (chambers.data.length === 0) {
    return (
      <Typography>
        There is no chamber to hang it in yet. <Link to="/settings">Add one</Link>, then come back: the lot
        waits here.
      </Typography>
    );
  }
  return <SplitForm lot={lot} methods={methods.data} chambers={chambers.data} />;
}

interface FormProps {
  lot: Schema['LotView'];
  methods: Method[];
  chambers: Schema['ChamberForm'][];
}

function SplitForm({ lot, methods, chambers }: FormProps) {
  const units = useUnits();
  const { id, receivedGrams } = lot.form;
  const firstChamber = chambers[0]?.id ?? '';
  const fresh = (weight: string, like?: PieceText): PieceText => ({
    id: newId(),
    weight,
    role: like?.role ?? 'PLAIN',
    method: like?.method ?? 'OPEN_AIR',
    chamberId: like?.chamberId ?? firstChamber,
    days: like?.days ?? String(methods.find((each) => each.method === 'OPEN_AIR')?.usualDays ?? 28),
    coat: '',
    coating: 'NONE',
    contact: '',
    consumables: like?.consumables ?? '',
  });
  const [draft, setDraft, clearDraft] = useDraft(`split ${id}`, () => ({
    hungOn: dayjs().format('YYYY-MM-DD'),
    pieces: [fresh(units.weightForField(receivedGrams))],
  }));
  const [wrong, setWrong] = useState<string | null>(null);
  const grams = draft.pieces.map((piece) => units.readWeight(piece.weight));
  const split = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.POST('/api/lots/{id}/pieces', {
          params: { path: { id } },
          body: { answers, pieces: draft.pieces.map((piece) => pieceBody(piece, draft.hungOn, units)) },
        }),
      ),
    onSuccess: async () => {
      clearDraft();
      await refresh();
    },
  });
  const change = (next: typeof draft) => {
    setDraft(next);
    setWrong(null);
    split.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (grams.some((each) => each === null || each === 0)) {
      setWrong('Each piece needs its weight.');
    } else if (draft.pieces.some((piece) => piece.role !== 'FRESH' && readNumber(piece.days) === null)) {
      setWrong('Each piece that hangs needs its days.');
    } else {
      split.mutate({});
    }
  };

  return (
    <Box component="form" onSubmit={submit} noValidate sx={{ display: 'grid', gap: 2.5, maxWidth: 1180 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, flexWrap: 'wrap' }}>
        <Typography variant="h2">Cut it and hang it</Typography>
        <TextField
          label="Hung on"
          type="date"
          size="small"
          value={draft.hungOn}
          onChange={(event) => change({ ...draft, hungOn: event.target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ width: 180 }}
        />
      </Box>
      {draft.pieces.map((piece, index) => (
        <SplitPiece
          key={piece.id}
          tag={`${lot.number}${String.fromCharCode(65 + index)}`}
          piece={piece}
          methods={methods}
          chambers={chambers}
          onChange={(part) =>
            change({
              ...draft,
              pieces: draft.pieces.map((each) => (each.id === piece.id ? { ...each, ...part } : each)),
            })
          }
          onRemove={
            draft.pieces.length > 1
              ? () => change({ ...draft, pieces: draft.pieces.filter((each) => each.id !== piece.id) })
              : undefined
          }
        />
      ))}
      <Box>
        <Button
          variant="outlined"
          onClick={() => change({ ...draft, pieces: [...draft.pieces, fresh('', draft.pieces.at(-1))] })}
        >
          One piece more
        </Button>
      </Box>
      <CuttingLoss lotId={id} grams={grams.filter((each): each is number => each !== null && each > 0)} />
      <ProblemNotice failure={split.error} />
      {wrong && (
        <Typography role="alert" color="error">
          {wrong}
        </Typography>
      )}
      <Questions
        failure={split.error}
        busy={split.isPending}
        keep="Hang it so"
        onAnswer={(answers) => split.mutate(answers)}
      />
      <Box>
        <Button type="submit" variant="contained" size="large" disabled={split.isPending} sx={{ px: 5 }}>
          Hang it
        </Button>
      </Box>
    </Box>
  );
}
