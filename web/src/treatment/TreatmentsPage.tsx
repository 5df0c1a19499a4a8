import Box from '@mui/material/Box';
import { useCuts, useMethods, useScaled, useTreatments } from '../api/queries';
import type { Schema } from '../api/client';
import { useDraft } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { readNumber, useUnits } from '../kit/units';
import { Advice } from './Advice';
import { firstOf, type Draft } from './draft';
import { TreatmentFields } from './TreatmentFields';

/** What can be put on a piece, how much of it, and what it must not meet. */
export default function TreatmentsPage() {
  const kinds = useTreatments();
  const cuts = useCuts();
  const methods = useMethods();
  const kind = kinds.data?.[0];
  const cut = cuts.data?.[0];
  if (!kinds.data || !kind || !cuts.data || !cut || !methods.data) {
    return <Waiting failure={kinds.error ?? cuts.error ?? methods.error} />;
  }
  return <Chooser kinds={kinds.data} cuts={cuts.data} methods={methods.data} first={{ kind, cut }} />;
}

interface Props {
  kinds: Schema['TreatmentView'][];
  cuts: Schema['CutView'][];
  methods: Schema['MethodView'][];
  first: { kind: Schema['TreatmentView']; cut: Schema['CutView'] };
}

function Chooser({ kinds, cuts, methods, first }: Props) {
  const units = useUnits();
  const [draft, setDraft] = useDraft<Draft>('treatment', () => ({
    ...firstOf(first.kind),
    cutCode: first.cut.code,
    weight: units.weightForField(3400),
    method: 'OPEN_AIR',
    rawGarlicOrHerbs: false,
    oil: false,
    spirit: false,
    sharedChamber: false,
    celsius: '',
  }));
  const kind = kinds.find((each) => each.kind === draft.kind) ?? first.kind;
  const grams = units.readWeight(draft.weight);
  const amount = readNumber(draft.amount);
  const dosed = Boolean(kind.first) && amount !== null;
  const scaled = useScaled(
    grams === null
      ? null
      : {
          kind: kind.kind,
          cutCode: draft.cutCode,
          grams,
          method: draft.method,
          ...(dosed && { amount, measure: draft.measure, basis: draft.basis }),
          rawGarlicOrHerbs: draft.rawGarlicOrHerbs,
          oil: draft.oil,
          spirit: draft.spirit,
          sharedChamber: draft.sharedChamber,
          ...(draft.celsius.trim() !== '' && {
            meatCelsius: units.readTemperature(draft.celsius) ?? undefined,
          }),
        },
  );
  return (
    <Page title="Treatments">
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '400px minmax(0, 1fr)' },
          gap: { xs: 4, md: 6 },
          alignItems: 'start',
        }}
      >
        <TreatmentFields
          draft={draft}
          kind={kind}
          kinds={kinds}
          cuts={cuts}
          methods={methods}
          onChange={(part) => setDraft((before) => ({ ...before, ...part }))}
        />
        <Box sx={{ display: 'grid', gap: 3 }}>
          <ProblemNotice failure={scaled.error} />
          <Advice kind={kind} scaled={grams === null ? undefined : scaled.data} />
        </Box>
      </Box>
    </Page>
  );
}
