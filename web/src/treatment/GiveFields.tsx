import type { Schema } from '../api/client';
import { fieldsOf } from '../kit/form/fields';
import { useGroup } from '../kit/form/group';
import { DoseFields } from './DoseFields';
import type { Give } from './give';
import { InIt } from './InIt';
import { KindSelect } from './KindSelect';

interface Props {
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
}

const Given = fieldsOf<Give>();

/** The fields of a treatment, to stand in a grid of two columns. */
export function GiveFields({ kinds, recipes }: Props) {
  const { values: give } = useGroup<Give>();
  const kind = kinds.find((each) => each.kind === give.kind);
  const own = give.recipeId !== '';
  return (
    <>
      <KindSelect kinds={kinds} recipes={recipes} also={{ number: '' }} />
      <Given.Text
        className="whole"
        size="small"
        name="exactly"
        label="What exactly"
        placeholder="buckwheat honey"
        most={200}
      />
      {!own && kind?.first && <DoseFields />}
      {kind?.count && (
        <Given.Measure
          className="whole"
          size="small"
          name="number"
          label={`How many ${kind.count.label}`}
          placeholder={String(kind.count.usual)}
          of="number"
        />
      )}
      {!own && kind?.first && <InIt />}
    </>
  );
}
