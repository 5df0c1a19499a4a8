import TextField from '@mui/material/TextField';
import type { Schema } from '../api/client';
import { readNumber } from '../kit/units';
import { DoseFields } from './DoseFields';
import type { Draft } from './draft';
import { InIt } from './InIt';
import { KindSelect } from './KindSelect';

/** A treatment as it is given: what exactly, how much, how long or how often. */
export interface Give extends Draft {
  exactly: string;
  /** Days or times; '' for as usual. */
  number: string;
}

/** What is put on and how much of it, as the server takes it. */
export const doseBody = (give: Draft) => {
  const amount = readNumber(give.amount);
  const own = give.recipeId !== '';
  return {
    kind: give.kind,
    ...(own && { recipeId: give.recipeId }),
    ...(!own && amount !== null && { amount, measure: give.measure, basis: give.basis }),
    rawGarlicOrHerbs: give.rawGarlicOrHerbs,
    oil: give.oil,
    spirit: give.spirit,
  };
};

/** The same with what exactly it is, and how many days or times. */
export const giveBody = (give: Give) => ({
  ...doseBody(give),
  exactly: give.exactly,
  ...(give.number.trim() !== '' && { number: Math.round(readNumber(give.number) ?? 0) }),
});

interface Props {
  give: Give;
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  onChange: (part: Partial<Give>) => void;
}

/** The fields of a treatment, to stand in a grid of two columns. */
export function GiveFields({ give, kinds, recipes, onChange }: Props) {
  const kind = kinds.find((each) => each.kind === give.kind);
  const own = give.recipeId !== '';
  return (
    <>
      <KindSelect
        draft={give}
        kinds={kinds}
        recipes={recipes}
        onChange={(draft) => onChange({ ...draft, number: '' })}
      />
      <TextField
        className="whole"
        size="small"
        label="What exactly"
        placeholder="buckwheat honey"
        value={give.exactly}
        onChange={(event) => onChange({ exactly: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      {!own && kind?.first && <DoseFields dose={give} onChange={onChange} />}
      {kind?.count && (
        <TextField
          className="whole"
          size="small"
          label={`How many ${kind.count.label}`}
          placeholder={String(kind.count.usual)}
          value={give.number}
          onChange={(event) => onChange({ number: event.target.value })}
          slotProps={{ htmlInput: { inputMode: 'numeric' }, inputLabel: { shrink: true } }}
        />
      )}
      {!own && kind?.first && <InIt contents={give} onChange={onChange} />}
    </>
  );
}
