import { fieldsOf } from '../kit/form/fields';
import { basisWords, measureWords, type Draft } from './draft';

const Dose = fieldsOf<Draft>();

/**
 * How much for how much.
 *
 * @param onlyGrams a mixture is weighed; nothing else is offered
 * @param required what to say where there is no dose
 */
export function DoseFields({ onlyGrams, required }: { onlyGrams?: boolean; required?: string }) {
  return (
    <>
      <Dose.Measure size="small" name="amount" label="Dose" of="number" required={required} />
      <Dose.Choice
        size="small"
        name="measure"
        label="Measured in"
        choices={measureWords}
        disabled={onlyGrams}
      />
      <Dose.Choice className="whole" size="small" name="basis" label="For" choices={basisWords} />
    </>
  );
}
