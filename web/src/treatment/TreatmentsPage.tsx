import Box from '@mui/material/Box';
import { useCuts } from '../api/lots';
import { useMethods } from '../api/pieces';
import { useRecipes, useScaled, useTreatments } from '../api/treatments';
import type { Schema } from '../api/client';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { Advice } from './Advice';
import { firstOf } from './draft';
import { doseBody } from './give';
import { Recipes } from './Recipes';
import { TreatmentFields, type OnAPiece } from './TreatmentFields';

/** What can be put on a piece, how much of it, and what it must not meet. */
export default function TreatmentsPage() {
  const kinds = useTreatments();
  const cuts = useCuts();
  const methods = useMethods();
  const recipes = useRecipes();
  const kind = kinds.data?.[0];
  const cut = cuts.data?.[0];
  if (!kinds.data || !kind || !cuts.data || !cut || !methods.data || !recipes.data) {
    return <Waiting failure={kinds.error ?? cuts.error ?? methods.error ?? recipes.error} />;
  }
  return <Chooser kinds={kinds.data} recipes={recipes.data} cut={cut} methods={methods.data} kind={kind} />;
}

interface Props {
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  cut: Schema['CutView'];
  methods: Schema['MethodView'][];
  kind: Schema['TreatmentView'];
}

function Chooser({ kinds, recipes, cut, methods, kind: first }: Props) {
  const units = useUnits();
  const form = useKeptForm<OnAPiece>('treatment on a piece', () => ({
    ...firstOf(first),
    cutCode: cut.code,
    weight: units.weightForField(units.perWeightUnit === 'lb' ? 3402 : 3400),
    method: 'OPEN_AIR',
    sharedChamber: false,
    celsius: '',
  }));
  const draft = form.values;
  const kind = kinds.find((each) => each.kind === draft.kind) ?? first;
  const own = recipes.find((each) => each.id === draft.recipeId);
  const grams = units.readWeight(draft.weight);
  const scaled = useScaled(
    grams === null
      ? null
      : {
          ...doseBody(draft),
          cutCode: draft.cutCode,
          grams,
          method: draft.method,
          sharedChamber: draft.sharedChamber,
          ...(draft.celsius.trim() !== '' && {
            meatCelsius: units.readTemperature(draft.celsius) ?? undefined,
          }),
        },
  );
  return (
    <Page title="Treatments">
      <Form
        form={form}
        failure={scaled.error}
        names={{ grams: 'weight', meatCelsius: 'celsius' }}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '400px minmax(0, 1fr)' },
          gap: { xs: 4, md: 6 },
          alignItems: 'start',
        }}
      >
        <TreatmentFields kinds={kinds} recipes={recipes} methods={methods} />
        <Box sx={{ display: 'grid', gap: 3 }}>
          <ProblemNotice failure={scaled.error} />
          <Advice kind={kind} own={own !== undefined} scaled={grams === null ? undefined : scaled.data} />
        </Box>
      </Form>
      <Recipes recipes={recipes} kinds={kinds} />
    </Page>
  );
}
