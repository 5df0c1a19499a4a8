import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useController } from 'react-hook-form';
import { useAtDesk } from '../kit/focus';
import type { Answers } from '../api/client';
import { useSuppliers } from '../api/lots';
import { CutField } from '../kit/form/CutField';
import { Form } from '../kit/form/Form';
import { fieldsOf } from '../kit/form/fields';
import { useShared } from '../kit/form/group';
import type { KeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useUnits } from '../kit/units';
import { Boxes } from './Boxes';
import { lotNames, type LotText } from './draft';
import { LotPicture } from './LotPicture';

interface Props {
  form: KeptForm<LotText>;
  /** Whether it comes in now, so that labels of its boxes may be at hand. */
  comesIn?: boolean;
  save: string;
  busy: boolean;
  failure: unknown;
  onChange: () => void;
  onSave: (answers: Answers) => void;
}

const Lot = fieldsOf<LotText>();
const half = { gridColumn: { sm: 'span 3' } };
const third = { gridColumn: { sm: 'span 2' } };

/** What came in: what it is, how heavy, how cold, and from whom. */
export function LotForm({ form, comesIn, save, busy, failure, onChange, onSave }: Props) {
  const units = useUnits();
  const atDesk = useAtDesk();
  return (
    <Form
      form={form}
      failure={failure}
      names={lotNames}
      onChange={onChange}
      onSubmit={() => onSave({})}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 720px) minmax(280px, 400px)' },
        gap: { xs: 2, md: 6 },
      }}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'repeat(6, 1fr)' },
          gap: 2,
          alignItems: 'start',
        }}
      >
        {comesIn && <Boxes form={form} />}
        <CutField
          name="cutCode"
          autoFocus={atDesk}
          required="Choose the cut."
          sx={{ gridColumn: { sm: 'span 6' } }}
          onPicked={(cut) => form.change({ boneIn: cut?.usuallyOnTheBone ?? false })}
        />
        <Lot.Weight name="weight" label="Weight" required="Weigh it: the weight is needed." big sx={half} />
        <Lot.Measure name="price" label={`Price per ${units.perWeightUnit}`} of="price" sx={half} />
        <Lot.Text name="grade" label="Grade or marbling" sx={half} />
        <Supplier />
        <Lot.Measure name="fatCover" label="Fat cover" of="length" sx={half} />
        <Lot.Check name="boneIn" label="On the bone" sx={{ ...half, minHeight: 56 }} />
        <Lot.Measure name="temperature" label="Temperature on arrival" of="temperature" sx={third} />
        <Lot.Day name="receivedOn" label="Came on" required sx={third} />
        <Lot.Day name="packedOn" label="Packed on" sx={third} />
        <Lot.Text name="sourceTag" label="Seller's lot or game tag" sx={third} />
        <Lot.Text name="note" label="Note" sx={{ gridColumn: { sm: 'span 4' } }} />
        <Box sx={{ gridColumn: { sm: 'span 6' } }}>
          <Save busy={busy} failure={failure} onAnswer={onSave}>
            {save}
          </Save>
        </Box>
      </Box>
      <LotPicture text={form.values} />
    </Form>
  );
}

/** Whom it was bought from; those of before are offered. */
function Supplier() {
  const suppliers = useSuppliers();
  const { control } = useShared();
  const { field } = useController({ name: 'supplier', control });
  return (
    <Autocomplete
      sx={half}
      freeSolo
      options={suppliers.data ?? []}
      inputValue={field.value}
      onInputChange={(_, supplier) => field.onChange(supplier)}
      renderInput={(params) => <TextField {...params} label="Supplier" />}
    />
  );
}
