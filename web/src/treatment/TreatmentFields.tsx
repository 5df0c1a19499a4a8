import Autocomplete from '@mui/material/Autocomplete';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { Schema } from '../api/client';
import { FormGrid } from '../kit/FormGrid';
import { asCuts, methodChoices } from '../kit/choices';
import { WeightField } from '../kit/WeightField';
import { DoseFields } from './DoseFields';
import type { Draft } from './draft';
import { InIt } from './InIt';
import { KindSelect } from './KindSelect';
import { MeatTemperature } from './MeatTemperature';

/** A treatment, and the piece somebody thinks of giving it. */
export interface OnAPiece extends Draft {
  cutCode: string;
  weight: string;
  method: Schema['TreatmentPlan']['method'];
  sharedChamber: boolean;
  celsius: string;
}

interface Props {
  draft: OnAPiece;
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  cuts: Schema['CutView'][];
  methods: Schema['MethodView'][];
  onChange: (part: Partial<OnAPiece>) => void;
}

/** What is put on which piece. */
export function TreatmentFields({ draft, kinds, recipes, cuts, methods, onChange }: Props) {
  const kind = kinds.find((each) => each.kind === draft.kind);
  const own = draft.recipeId !== '';
  return (
    <FormGrid>
      <KindSelect draft={draft} kinds={kinds} recipes={recipes} onChange={onChange} />
      <Autocomplete
        className="whole"
        size="small"
        disableClearable
        options={cuts}
        value={cuts.find((each) => each.code === draft.cutCode)}
        {...asCuts}
        onChange={(_, next) => onChange({ cutCode: next.code })}
        renderInput={(params) => <TextField {...params} label="Cut" />}
      />
      <WeightField
        size="small"
        label="Green weight"
        text={draft.weight}
        onText={(weight) => onChange({ weight })}
      />
      <TextField
        select
        size="small"
        label="Method"
        value={draft.method}
        onChange={(event) => onChange({ method: event.target.value as OnAPiece['method'] })}
      >
        {methodChoices(methods)}
      </TextField>
      {!own && kind?.first && <DoseFields dose={draft} onChange={onChange} />}
      {draft.kind === 'COLD_SMOKE' && (
        <MeatTemperature text={draft.celsius} onText={(celsius) => onChange({ celsius })} />
      )}
      {!own && kind?.first && <InIt contents={draft} onChange={onChange} />}
      <FormControlLabel
        className="whole"
        control={
          <Checkbox
            checked={draft.sharedChamber}
            onChange={(_, checked) => onChange({ sharedChamber: checked })}
          />
        }
        label="other meat or food in the chamber"
      />
    </FormGrid>
  );
}
