import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh, useChambers, useMethods } from '../api/queries';
import { newId, useDraft } from '../kit/drafts';
import { Caution, ProblemNotice, Questions } from '../kit/Notices';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits, type Units } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { coatingChoices } from '../kit/choices';

type NewPiece = Schema['NewPiece'];
type Method = Schema['MethodView'];

interface PieceText {
  id: string;
  weight: string;
  role: NewPiece['role'];
  method: NonNullable<NewPiece['method']>;
  chamberId: string;
  days: string;
  coat: string;
  coating: NonNullable<NewPiece['coating']>;
  contact: string;
  consumables: string;
}

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
        <PieceRow
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
      <Loss lotId={id} grams={grams.filter((each): each is number => each !== null && each > 0)} />
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

function pieceBody(piece: PieceText, hungOn: string, units: Units): NewPiece {
  const base = {
    id: piece.id,
    role: piece.role,
    greenGrams: units.readWeight(piece.weight) ?? 0,
    coatGrams: 0,
    coating: 'NONE' as const,
    consumablesMinor: units.readMoney(piece.consumables) ?? 0,
  };
  if (piece.role === 'FRESH') {
    return base;
  }
  return {
    ...base,
    method: piece.method,
    chamberId: piece.chamberId,
    hungOn,
    targetDays: Math.round(readNumber(piece.days) ?? 0),
    coatGrams: units.readWeight(piece.coat) ?? 0,
    coating: piece.coating,
    contactPercent: piece.method === 'MEMBRANE' ? (readNumber(piece.contact) ?? undefined) : undefined,
  };
}

interface RowProps {
  tag: string;
  piece: PieceText;
  methods: Method[];
  chambers: Schema['ChamberForm'][];
  onChange: (part: Partial<PieceText>) => void;
  onRemove?: () => void;
}

function PieceRow({ tag, piece, methods, chambers, onChange, onRemove }: RowProps) {
  const units = useUnits();
  const method = methods.find((each) => each.method === piece.method);
  const chamber = chambers.find((each) => each.id === piece.chamberId);
  const choose = (next: Method | undefined) => {
    if (next) {
      onChange({
        method: next.method,
        days: String(next.usualDays),
        consumables: next.usualConsumablesMinor > 0 ? units.moneyForField(next.usualConsumablesMinor) : '',
      });
    }
  };
  return (
    <Box
      component="fieldset"
      sx={{ border: 0, borderTop: '1px solid', borderColor: 'divider', p: 0, pt: 2, m: 0 }}
    >
      <Box component="legend" sx={{ position: 'absolute', left: -9999 }}>
        Piece {tag}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
        <Typography aria-hidden sx={{ typography: 'h2', width: '3.4rem', pt: 1.25 }}>
          {tag}
        </Typography>
        <Box sx={{ width: 132 }}>
          <WeightField label="Weight" text={piece.weight} onText={(weight) => onChange({ weight })} />
        </Box>
        <TextField
          select
          label="What it is for"
          value={piece.role}
          onChange={(event) => onChange({ role: event.target.value as PieceText['role'] })}
          sx={{ width: 158 }}
        >
          <MenuItem value="PLAIN">plain</MenuItem>
          <MenuItem value="CONTROL">control</MenuItem>
          <MenuItem value="TREATED">treated</MenuItem>
          <MenuItem value="FRESH">fresh, to compare</MenuItem>
        </TextField>
        {piece.role !== 'FRESH' && (
          <>
            <TextField
              select
              label="Method"
              value={piece.method}
              onChange={(event) => choose(methods.find((each) => each.method === event.target.value))}
              sx={{ width: 144 }}
            >
              {methods.map((each) => (
                <MenuItem key={each.method} value={each.method}>
                  {each.label}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Chamber"
              value={piece.chamberId}
              onChange={(event) => onChange({ chamberId: event.target.value })}
              sx={{ width: 156 }}
            >
              {chambers.map((each) => (
                <MenuItem key={each.id} value={each.id}>
                  {each.name}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              label="Target days"
              value={piece.days}
              onChange={(event) => onChange({ days: event.target.value })}
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
              sx={{ width: 98 }}
            />
            <Box sx={{ width: 118 }}>
              <WeightField
                label="Coat on"
                text={piece.coat}
                onText={(coat) =>
                  onChange({
                    coat,
                    coating: coat !== '' && piece.coating === 'NONE' ? 'PASTE' : piece.coating,
                  })
                }
              />
            </Box>
            {piece.coat !== '' && (
              <TextField
                select
                label="Which coat"
                value={piece.coating}
                onChange={(event) => onChange({ coating: event.target.value as PieceText['coating'] })}
                sx={{ width: 150 }}
              >
                {coatingChoices()}
              </TextField>
            )}
            {piece.method === 'MEMBRANE' && (
              <TextField
                label="Film on meat"
                value={piece.contact}
                placeholder="85"
                onChange={(event) => onChange({ contact: event.target.value })}
                slotProps={{
                  htmlInput: { inputMode: 'numeric' },
                  inputLabel: { shrink: true },
                  input: { endAdornment: <InputAdornment position="end">%</InputAdornment> },
                }}
                sx={{ width: 112 }}
              />
            )}
            <TextField
              label="Materials"
              value={piece.consumables}
              onChange={(event) => onChange({ consumables: event.target.value })}
              slotProps={{
                htmlInput: { inputMode: 'decimal' },
                input: { endAdornment: <InputAdornment position="end">{units.currency}</InputAdornment> },
              }}
              sx={{ width: 132 }}
            />
          </>
        )}
        {onRemove && (
          <Button color="inherit" onClick={onRemove} aria-label={`Remove piece ${tag}`} sx={{ mt: 0.75 }}>
            Remove
          </Button>
        )}
      </Box>
      <Box sx={{ pl: { sm: '4.2rem' }, display: 'grid', gap: 1 }}>
        {piece.role === 'FRESH' ? (
          <Typography variant="body2">
            Vacuum packed and frozen, to be tasted beside the aged ones.
          </Typography>
        ) : (
          <Typography variant="body2">{method?.surface}</Typography>
        )}
        {piece.role !== 'FRESH' && chamber?.kind === 'REFRIGERATOR' && piece.method === 'OPEN_AIR' && (
          <Caution rule="refrigerator">
            A household refrigerator that is opened all day is not a chamber. Nothing open beside uncovered
            food.
          </Caution>
        )}
        {piece.method === 'MEMBRANE' && piece.role !== 'FRESH' && (
          <Caution rule="membrane">Membranes are single use. Rewrapping needs a new one.</Caution>
        )}
      </Box>
    </Box>
  );
}

/** What the pieces leave of the lot, as the server counts it. */
function Loss({ lotId, grams }: { lotId: string; grams: number[] }) {
  const units = useUnits();
  const preview = useQuery({
    queryKey: ['split', lotId, grams],
    queryFn: () =>
      answer(api.GET('/api/lots/{id}/split', { params: { path: { id: lotId }, query: { grams } } })),
    enabled: grams.length > 0,
    placeholderData: (before) => before,
  });
  if (!preview.data || grams.length === 0) {
    return null;
  }
  const { lossGrams, question } = preview.data;
  const odd = lossGrams < 0 || question !== undefined;
  return (
    <Typography
      role="status"
      sx={{ fontSize: '1.25rem', fontWeight: 620, color: odd ? 'warning.main' : 'text.primary' }}
    >
      {lossGrams < 0
        ? `${units.weight(-lossGrams)} more than the lot weighs`
        : `${units.weight(lossGrams)} on no piece: cutting loss`}
    </Typography>
  );
}
