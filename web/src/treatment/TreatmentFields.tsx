import type { Schema } from '../api/client';
import { FormGrid } from '../kit/FormGrid';
import { methodChoices } from '../kit/choices';
import { CutField } from '../kit/form/CutField';
import { fieldsOf } from '../kit/form/fields';
import { useGroup } from '../kit/form/group';
import { DoseFields } from './DoseFields';
import type { Draft } from './draft';
import { InIt } from './InIt';
import { KindSelect } from './KindSelect';

/** A treatment, and the piece somebody thinks of giving it. */
export interface OnAPiece extends Draft {
  cutCode: string;
  weight: string;
  method: Schema['TreatmentScenario']['method'];
  sharedChamber: boolean;
  celsius: string;
}

interface Props {
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  methods: Schema['MethodView'][];
}

const Thought = fieldsOf<OnAPiece>();

/** What is put on which piece. */
export function TreatmentFields({ kinds, recipes, methods }: Props) {
  const { values: draft } = useGroup<OnAPiece>();
  const kind = kinds.find((each) => each.kind === draft.kind);
  const own = draft.recipeId !== '';
  return (
    <FormGrid>
      <KindSelect kinds={kinds} recipes={recipes} />
      <CutField className="whole" size="small" name="cutCode" required="Choose the cut." />
      <Thought.Weight size="small" name="weight" label="Green weight" />
      <Thought.Choice size="small" name="method" label="Method">
        {methodChoices(methods)}
      </Thought.Choice>
      {!own && kind?.first && <DoseFields />}
      {draft.kind === 'COLD_SMOKE' && (
        <Thought.Measure
          className="whole"
          size="small"
          name="celsius"
          label="The meat measures"
          of="temperature"
        />
      )}
      {!own && kind?.first && <InIt />}
      <Thought.Check className="whole" name="sharedChamber" label="other meat or food in the chamber" />
    </FormGrid>
  );
}
