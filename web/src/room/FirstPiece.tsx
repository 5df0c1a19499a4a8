import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Fragment, useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useCuts } from '../api/lots';
import { useMethods } from '../api/pieces';
import { asCuts, methodChoices } from '../kit/choices';
import { newId, useDraft } from '../kit/drafts';
import { Caution, ProblemNotice, Questions } from '../kit/Notices';
import { RadioButtons } from '../kit/RadioButtons';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { chamberWords } from '../kit/words';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import { useScale, useScales } from '../weigh/scale';

type Kind = Schema['FirstForm']['kind'];

const places: { kind: Kind; what: string; method: Schema['FirstForm']['method'] }[] = [
  { kind: 'REFRIGERATOR', what: 'at home, opened rarely', method: 'MEMBRANE' },
  { kind: 'CABINET', what: 'with air that moves', method: 'OPEN_AIR' },
  { kind: 'WALK_IN', what: 'with rails', method: 'OPEN_AIR' },
  { kind: 'SHED', what: 'cold, for game', method: 'OPEN_AIR' },
];

interface Draft {
  pieceId: string;
  chamberId: string;
  kind: Kind;
  cutCode: string;
  boneIn: boolean;
  weight: string;
  method: Schema['FirstForm']['method'];
  days: string;
  price: string;
}

const nothing = (): Draft => ({
  pieceId: newId(),
  chamberId: newId(),
  kind: 'REFRIGERATOR',
  cutCode: 'ribeye',
  boneIn: false,
  weight: '',
  method: 'MEMBRANE',
  days: '35',
  price: '',
});

/** An empty house: where, what, how heavy, and it hangs. All else has usual values that can be changed later. */
export function FirstPiece() {
  const cuts = useCuts();
  const methods = useMethods();
  if (!cuts.data || !methods.data) {
    return <Waiting failure={cuts.error ?? methods.error} />;
  }
  return <Asked cuts={cuts.data} methods={methods.data} />;
}

function Asked({ cuts, methods }: { cuts: Schema['CutView'][]; methods: Schema['MethodView'][] }) {
  const units = useUnits();
  const navigate = useNavigate();
  const [draft, setDraft, clear] = useDraft<Draft>('first', nothing);
  const [touched, setTouched] = useState(false);
  const [typing, setTyping] = useState(false);
  const change = (part: Partial<Draft>) => {
    setDraft((before) => ({ ...before, ...part }));
    hang.reset();
  };
  const shown = useScale(useScales().scale?.id);
  const live = shown && !typing ? shown : null;
  const grams = live ? (isKeepable(live, 0) ? live.grams : null) : units.readWeight(draft.weight);
  const days = readNumber(draft.days);
  const hang = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/first/{pieceId}', {
          params: { path: { pieceId: draft.pieceId } },
          body: {
            chamberId: draft.chamberId,
            kind: draft.kind,
            cutCode: draft.cutCode,
            boneIn: draft.boneIn,
            grams: grams ?? 0,
            method: draft.method,
            days: Math.round(days ?? 0),
            priceMinorPerKg: units.readPrice(draft.price) ?? 0,
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      clear();
      await refresh();
      await navigate(`/pieces/${draft.pieceId}`);
    },
  });
  const pick = (method: Draft['method']) =>
    change({ method, days: String(methods.find((each) => each.method === method)?.usualDays ?? draft.days) });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    setTouched(true);
    if (grams && days) {
      hang.mutate({});
    }
  };
  const surface = methods.find(({ method }) => method === draft.method)?.surface;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      aria-label="The first piece"
      sx={{ display: 'grid', gap: 3, maxWidth: 760, gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Typography sx={{ fontSize: '1.15rem' }}>
        Nothing hangs yet. Say where, what and how heavy; Elvaro says what it will weigh, when to look, and
        when to cut it.
      </Typography>
      <RadioButtons<Kind>
        label="Where it hangs"
        value={draft.kind}
        minHeight={72}
        choices={places.map((place) => [
          place.kind,
          <Fragment key={place.kind}>
            <span>{chamberWords[place.kind]}</span>
            <Typography component="span" variant="caption">
              {place.what}
            </Typography>
          </Fragment>,
        ])}
        onChange={(kind) => {
          change({ kind });
          pick(places.find((place) => place.kind === kind)?.method ?? draft.method);
        }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' }, gap: 2 }}>
        <Autocomplete
          options={cuts}
          {...asCuts}
          value={cuts.find(({ code }) => code === draft.cutCode) ?? null}
          onChange={(_, cut) => cut && change({ cutCode: cut.code })}
          renderInput={(params) => <TextField {...params} label="Cut" />}
        />
        {live ? (
          <LiveWeight
            shown={live}
            keptLaying={0}
            tag="the piece"
            ready="Steady: hang it below"
            onType={() => setTyping(true)}
          />
        ) : (
          <WeightField
            label="Weight"
            text={draft.weight}
            onText={(weight) => change({ weight })}
            autoFocus
            error={touched && !grams ? 'Weigh it: a kitchen scale will do.' : undefined}
          />
        )}
        <TextField
          select
          label="How"
          value={draft.method}
          onChange={(event) => pick(event.target.value as Draft['method'])}
        >
          {methodChoices(methods)}
        </TextField>
        <TextField
          label="Days"
          value={draft.days}
          onChange={(event) => change({ days: event.target.value })}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
        <TextField
          label={`Price a ${units.perWeightUnit} (optional)`}
          value={draft.price}
          onChange={(event) => change({ price: event.target.value })}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
      </Box>
      {surface && <Typography>{surface}</Typography>}
      {draft.kind === 'REFRIGERATOR' && <Caution of="HOUSEHOLD_REFRIGERATOR" />}
      <ProblemNotice failure={hang.error} />
      <Questions failure={hang.error} busy={hang.isPending} onAnswer={(answers) => hang.mutate(answers)} />
      <Button
        type="submit"
        variant="contained"
        size="large"
        disabled={hang.isPending || !days}
        sx={{ minHeight: 56 }}
      >
        Hang it
      </Button>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Air, limit and rails of the place are usual ones; they are changed under Settings, and a scale is
        added there. To set up rooms of your own before anything hangs, or for an animal:{' '}
        <MuiLink component={Link} to="/settings" sx={{ color: 'secondary.main' }}>
          Add a chamber
        </MuiLink>
      </Typography>
    </Box>
  );
}
