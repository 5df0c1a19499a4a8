import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh, useToday } from '../api/house';
import { useMethods } from '../api/pieces';
import { useTreatments } from '../api/treatments';
import { useForward } from '../api/plans';
import { methodChoices } from '../kit/choices';
import { useDebouncedValue } from '../kit/debounced';
import { newId } from '../kit/drafts';
import { CutField } from '../kit/form/CutField';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { Caution } from '../kit/Notices';
import { RadioButtons } from '../kit/RadioButtons';
import { Waiting } from '../kit/Page';
import { readDays, readNumber, useUnits } from '../kit/units';
import { chamberWords } from '../kit/words';
import { Told } from '../plan/Told';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import { useScale, useScales } from '../weigh/scale';
import { usualAgeing } from '../kit/methods';

type Kind = Schema['FirstForm']['kind'];
type Method = Schema['FirstForm']['method'];
type Treatment = Schema['TreatmentForm']['kind'];

/** The places a first piece hangs in, and what is said of each. */
const places: [Kind, string][] = [
  ['REFRIGERATOR', 'at home, opened rarely'],
  ['CABINET', 'with air that moves'],
  ['WALK_IN', 'with rails'],
  ['SHED', 'cold, for game'],
];

interface Text {
  pieceId: string;
  chamberId: string;
  kind: Kind;
  cutCode: string;
  boneIn: boolean;
  weight: string;
  method: Method;
  days: string;
  price: string;
  hungOn: string;
  count: string;
  /** Whether it was cut in two, and one half gets something. */
  halved: boolean;
  halfWeight: string;
  kindOfTreatment: Treatment;
  exactly: string;
}

const First = fieldsOf<Text>();

/** What the plan is asked for at all. */
const LEAST_GRAMS = 50;
const MOST_DAYS = 400;
const RESTS_MS = 400;

/** An empty house: where, what, how heavy, and it hangs. All else has usual values that can be changed later. */
export function FirstPiece() {
  const methods = useMethods();
  const treatments = useTreatments();
  if (!methods.data || !treatments.data) {
    return <Waiting failure={methods.error ?? treatments.error} />;
  }
  return <Asked methods={methods.data} treatments={treatments.data} />;
}

interface AskedProps {
  methods: Schema['MethodView'][];
  treatments: Schema['TreatmentView'][];
}

function Asked({ methods, treatments }: AskedProps) {
  const today = useToday();
  const units = useUnits();
  const navigate = useNavigate();
  const usual = (kind: Kind) => {
    const ageing = usualAgeing(methods, kind, units);
    return ageing && { method: ageing.method, days: ageing.days };
  };
  const form = useKeptForm<Text>('first', () => ({
    pieceId: newId(),
    chamberId: newId(),
    kind: 'REFRIGERATOR',
    cutCode: 'ribeye',
    boneIn: false,
    weight: '',
    method: 'MEMBRANE',
    days: '',
    price: '',
    hungOn: today,
    count: '',
    halved: false,
    halfWeight: '',
    kindOfTreatment: 'PASTE',
    exactly: '',
    ...usual('REFRIGERATOR'),
  }));
  const text = form.values;
  const [typing, setTyping] = useState(false);
  const shown = useScale(useScales().scale?.id);
  // What a person typed stays until they clear it.
  const live = shown && !typing && text.weight === '' ? shown : null;
  const grams = live ? (isKeepable(live, 0) ? live.grams : null) : units.readWeight(text.weight);
  const hang = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/first/{pieceId}', {
          params: { path: { pieceId: text.pieceId } },
          body: {
            chamberId: text.chamberId,
            kind: text.kind,
            cutCode: text.cutCode,
            boneIn: text.boneIn,
            grams: grams ?? 0,
            method: text.method,
            days: Math.round(readDays(text.days) ?? 0),
            priceMinorPerKg: units.readPrice(text.price) ?? undefined,
            hungOn: text.hungOn === '' ? undefined : text.hungOn,
            count: text.count === '' ? undefined : Math.round(readNumber(text.count) ?? 1),
            half: text.halved
              ? {
                  grams: units.readWeight(text.halfWeight) ?? 0,
                  treatment: {
                    kind: text.kindOfTreatment,
                    exactly: text.exactly,
                    coatGrams: 0,
                    rawGarlicOrHerbs: false,
                    oil: false,
                    spirit: false,
                    answers: {},
                  },
                }
              : undefined,
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
      await navigate(`/pieces/${text.pieceId}`);
    },
  });
  const days = Math.round(readDays(text.days) ?? 0);
  const asked = useDebouncedValue(
    JSON.stringify(
      grams && grams >= LEAST_GRAMS && days >= 1 && days <= MOST_DAYS && text.cutCode !== ''
        ? {
            cutCode: text.cutCode,
            boneIn: text.boneIn,
            fatCoverMm: 0,
            greenGrams: grams,
            method: text.method,
            coating: 'NONE',
            kind: text.kind,
            targetDays: days,
            priceMinorPerKg: 0,
            consumablesMinor: 0,
            steakMm: 30,
          }
        : null,
    ),
    RESTS_MS,
  );
  const scenario = JSON.parse(asked) as Schema['ScenarioForm'] | null;
  const forward = useForward(scenario).data;
  const surface = methods.find(({ method }) => method === text.method)?.surface;
  return (
    <Form
      form={form}
      failure={hang.error}
      names={{ grams: 'weight', priceMinorPerKg: 'price', 'half.grams': 'halfWeight' }}
      onChange={hang.reset}
      onSubmit={() => (grams || !live) && hang.mutate({})}
      label="The first piece"
      sx={{ display: 'grid', gap: 3, maxWidth: 760, gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Typography sx={{ fontSize: '1.15rem' }}>
        Nothing hangs yet. Say where, what and how heavy; Elvaro says what it will weigh, when to look, and
        when to cut it. Never done it before?{' '}
        <MuiLink component={Link} to="/rehearsal" sx={{ color: 'secondary.main' }}>
          Rehearse it first
        </MuiLink>
        , without any meat.
      </Typography>
      <RadioButtons<Kind>
        label="Where it hangs"
        value={text.kind}
        minHeight={72}
        choices={places.map(([kind, what]) => [
          kind,
          <Fragment key={kind}>
            <span>{chamberWords[kind]}</span>
            <Typography component="span" variant="caption">
              {what}
            </Typography>
          </Fragment>,
        ])}
        onChange={(kind) => form.change({ kind, ...usual(kind) })}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' }, gap: 2 }}>
        <CutField name="cutCode" required="Choose the cut." />
        {live ? (
          <LiveWeight
            shown={live}
            keptLaying={0}
            tag="the piece"
            ready="Steady: hang it below"
            onType={() => setTyping(true)}
          />
        ) : (
          <First.Weight
            name="weight"
            label="Weight"
            required="Weigh it: a kitchen scale will do."
            autoFocus
          />
        )}
        <First.Choice
          name="method"
          label="How"
          onChanged={(next) =>
            form.change({ days: String(methods.find(({ method }) => method === next)?.usualDays ?? '') })
          }
        >
          {methodChoices(methods)}
        </First.Choice>
        <First.Measure name="days" label="Days" of="days" required="Say for how many days." />
        <First.Day name="hungOn" label="It hangs since" required />
        <First.Measure name="price" label={`Price per ${units.perWeightUnit} (optional)`} of="price" />
        <First.Measure
          name="count"
          label="Like things, hung as one (optional)"
          of="number"
          placeholder="1"
          helper="Six ducks or four steaks: one weight, one record, until they part."
        />
      </Box>
      <First.Check name="halved" label="I cut it in two: one half gets something, the other stays plain" />
      {text.halved && (
        <Box
          role="group"
          aria-label="The half that gets something"
          sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' }, gap: 2 }}
        >
          <First.Weight name="halfWeight" label="Weight of that half" required="Weigh the other half too." />
          <First.Choice
            name="kindOfTreatment"
            label="It gets"
            choices={Object.fromEntries(treatments.map(({ kind, label }) => [kind, label]))}
          />
          <First.Text name="exactly" label="What exactly" most={200} />
          <Typography variant="body2" sx={{ alignSelf: 'center' }}>
            Both hang alike and are a trial: at the table you find out whether it was worth it.
          </Typography>
        </Box>
      )}
      {surface && <Typography>{surface}</Typography>}
      {scenario && forward && (
        <Box>
          <Told forward={forward} />
        </Box>
      )}
      {text.kind === 'REFRIGERATOR' && <Caution of="HOUSEHOLD_REFRIGERATOR" />}
      <Save busy={hang.isPending} failure={hang.error} onAnswer={(answers) => hang.mutate(answers)}>
        Hang it
      </Save>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Air, limit and rails of the place are usual ones; they are changed under Settings, and a scale is
        added there. To set up rooms of your own before anything hangs, or for an animal:{' '}
        <MuiLink component={Link} to="/settings" sx={{ color: 'secondary.main' }}>
          Add a chamber
        </MuiLink>
      </Typography>
    </Form>
  );
}
