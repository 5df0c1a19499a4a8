import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { FormGrid } from '../kit/FormGrid';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber, useUnits, type Units } from '../kit/units';
import { DoseFields } from './DoseFields';
import type { Draft } from './draft';
import { InIt } from './InIt';

interface Props {
  recipe: Schema['RecipeView'] | null;
  kinds: Schema['TreatmentView'][];
  onClose: () => void;
}

interface Part {
  key: string;
  name: string;
  parts: string;
  price: string;
}

type Text = Draft & { name: string; note: string; parts: Part[] };

const Mix = fieldsOf<Text>();

const onePart = (): Part => ({ key: newId(), name: '', parts: '1', price: '' });

const textOf = (recipe: Schema['RecipeView'] | null, units: Units): Text => ({
  name: recipe?.name ?? '',
  note: recipe?.note ?? '',
  kind: recipe?.kind ?? 'PASTE',
  recipeId: '',
  amount: recipe ? String(recipe.amount) : '10',
  measure: 'GRAM',
  basis: recipe?.basis ?? 'KILOGRAM',
  rawGarlicOrHerbs: recipe?.rawGarlicOrHerbs ?? false,
  oil: recipe?.oil ?? false,
  spirit: recipe?.spirit ?? false,
  parts: recipe?.parts.map((part) => ({
    key: newId(),
    name: part.name,
    parts: String(part.parts),
    price: part.priceMinorPerKg > 0 ? units.priceForField(part.priceMinorPerKg) : '',
  })) ?? [onePart()],
});

/** A mixture in parts by weight, what each costs, and how much of the whole a piece gets. */
export function RecipeDialog({ recipe, kinds, onClose }: Props) {
  const units = useUnits();
  const phone = useMediaQuery('(max-width:600px)');
  const [id] = useState(() => recipe?.id ?? newId());
  const form = useKeptForm<Text>(recipe ? `recipe ${id} ${recipe.version}` : 'recipe', () =>
    textOf(recipe, units),
  );
  const { parts } = form.values;
  const save = useMutation({
    mutationFn: (body: Schema['RecipeForm']) =>
      answer(api.PUT('/api/recipes/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      form.clear();
      await refresh();
      onClose();
    },
  });
  const submit = () => {
    const text = form.values;
    save.mutate({
      version: recipe?.version ?? 0,
      name: text.name,
      kind: text.kind,
      amount: readNumber(text.amount) ?? 0,
      basis: text.basis,
      parts: text.parts
        .filter((part) => part.name.trim() !== '')
        .map((part) => ({
          name: part.name,
          parts: readNumber(part.parts) ?? 0,
          priceMinorPerKg: units.readPrice(part.price) ?? 0,
        })),
      rawGarlicOrHerbs: text.rawGarlicOrHerbs,
      oil: text.oil,
      spirit: text.spirit,
      note: text.note,
    });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" fullScreen={phone} aria-labelledby="recipe-title">
      <DialogTitle id="recipe-title" sx={{ typography: 'h2' }}>
        {recipe ? `Change ${recipe.name}` : 'Write a recipe'}
      </DialogTitle>
      <DialogContent>
        <Form
          form={form}
          failure={save.error}
          names={{ 'parts.*.priceMinorPerKg': 'parts.*.price' }}
          onChange={save.reset}
          onSubmit={submit}
        >
          <FormGrid dialog>
            <Mix.Text name="name" label="Name" required most={80} />
            <Mix.Choice name="kind" label="Kind">
              {kinds
                .filter((kind) => kind.first)
                .map((kind) => (
                  <MenuItem key={kind.kind} value={kind.kind}>
                    {kind.label}
                  </MenuItem>
                ))}
            </Mix.Choice>
            <Typography variant="h3" className="whole">
              In it, by weight
            </Typography>
            {parts.map((part, index) => (
              <Box
                key={part.key}
                className="whole"
                sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 84px 128px', gap: 1 }}
              >
                <Mix.Text
                  size="small"
                  name={`parts.${index}.name`}
                  label={`Part ${index + 1}`}
                  required={index === 0 && 'Name what is in it.'}
                />
                <Mix.Measure
                  size="small"
                  name={`parts.${index}.parts`}
                  label="Parts"
                  of="number"
                  required={part.name.trim() !== ''}
                />
                <Mix.Measure
                  size="small"
                  name={`parts.${index}.price`}
                  label={`Price per ${units.perWeightUnit}`}
                  of="price"
                  bare
                />
              </Box>
            ))}
            <Button
              className="whole"
              variant="outlined"
              sx={{ justifySelf: 'start' }}
              onClick={() => form.change({ parts: [...parts, onePart()] })}
            >
              One part more
            </Button>
            <Typography variant="h3" className="whole">
              Of the whole, a piece gets
            </Typography>
            <DoseFields onlyGrams required="Say how much of it a piece gets." />
            <InIt />
            <Mix.Text className="whole" name="note" label="Note" most={1000} />
            <Save
              busy={save.isPending}
              failure={save.error}
              beside={
                <Button color="inherit" onClick={onClose}>
                  Close
                </Button>
              }
            >
              Keep the recipe
            </Save>
          </FormGrid>
        </Form>
      </DialogContent>
    </Dialog>
  );
}
