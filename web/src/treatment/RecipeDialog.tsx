import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { FormGrid } from '../kit/FormGrid';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { readNumber, useUnits } from '../kit/units';
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

/** A mixture in parts by weight, what each costs, and how much of the whole a piece gets. */
export function RecipeDialog({ recipe, kinds, onClose }: Props) {
  const units = useUnits();
  const phone = useMediaQuery('(max-width:600px)');
  const [id] = useState(() => recipe?.id ?? newId());
  const [name, setName] = useState(recipe?.name ?? '');
  const [note, setNote] = useState(recipe?.note ?? '');
  const [draft, setDraft] = useState<Draft>({
    kind: recipe?.kind ?? 'PASTE',
    recipeId: '',
    amount: recipe ? String(recipe.amount) : '10',
    measure: 'GRAM',
    basis: recipe?.basis ?? 'KILOGRAM',
    rawGarlicOrHerbs: recipe?.rawGarlicOrHerbs ?? false,
    oil: recipe?.oil ?? false,
    spirit: recipe?.spirit ?? false,
  });
  const [parts, setParts] = useState<Part[]>(
    () =>
      recipe?.parts.map((part) => ({
        key: newId(),
        name: part.name,
        parts: String(part.parts),
        price: part.priceMinorPerKg > 0 ? units.priceForField(part.priceMinorPerKg) : '',
      })) ?? [{ key: newId(), name: '', parts: '1', price: '' }],
  );
  const [wrong, setWrong] = useState<string | null>(null);
  const save = useMutation({
    mutationFn: (body: Schema['RecipeForm']) =>
      answer(api.PUT('/api/recipes/{id}', { params: { path: { id } }, body })),
    onSuccess: async () => {
      await refresh();
      onClose();
    },
  });
  const changePart = (key: string, part: Partial<Part>) => {
    setWrong(null);
    setParts(parts.map((each) => (each.key === key ? { ...each, ...part } : each)));
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const amount = readNumber(draft.amount);
    const named = parts.filter((part) => part.name.trim() !== '');
    if (amount === null) {
      setWrong('Say how much of it a piece gets.');
    } else if (named.length === 0) {
      setWrong('Name what is in it.');
    } else if (named.some((part) => !readNumber(part.parts))) {
      setWrong('Say how many parts of each, as a number.');
    } else if (named.some((part) => part.price !== '' && units.readPrice(part.price) === null)) {
      setWrong('A price is a number, or left empty.');
    } else {
      save.mutate({
        version: recipe?.version ?? 0,
        name,
        kind: draft.kind,
        amount,
        basis: draft.basis,
        parts: named.map((part) => ({
          name: part.name,
          parts: readNumber(part.parts) ?? 0,
          priceMinorPerKg: part.price === '' ? 0 : (units.readPrice(part.price) ?? 0),
        })),
        rawGarlicOrHerbs: draft.rawGarlicOrHerbs,
        oil: draft.oil,
        spirit: draft.spirit,
        note,
      });
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" fullScreen={phone} aria-labelledby="recipe-title">
      <DialogTitle id="recipe-title" sx={{ typography: 'h2' }}>
        {recipe ? `Change ${recipe.name}` : 'Write a recipe'}
      </DialogTitle>
      <DialogContent>
        <FormGrid onSubmit={submit}>
          <TextField
            label="Name"
            required
            value={name}
            onChange={(event) => setName(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <TextField
            select
            label="Kind"
            value={draft.kind}
            onChange={(event) => setDraft({ ...draft, kind: event.target.value as Draft['kind'] })}
          >
            {kinds
              .filter((kind) => kind.first)
              .map((kind) => (
                <MenuItem key={kind.kind} value={kind.kind}>
                  {kind.label}
                </MenuItem>
              ))}
          </TextField>
          <Typography variant="h3" className="whole">
            In it, by weight
          </Typography>
          {parts.map((part, index) => (
            <Box
              key={part.key}
              className="whole"
              sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 84px 128px', gap: 1 }}
            >
              <TextField
                size="small"
                label={`Part ${index + 1}`}
                value={part.name}
                onChange={(event) => changePart(part.key, { name: event.target.value })}
              />
              <TextField
                size="small"
                label="Parts"
                value={part.parts}
                onChange={(event) => changePart(part.key, { parts: event.target.value })}
                slotProps={{ htmlInput: { inputMode: 'decimal' } }}
              />
              <TextField
                size="small"
                label={`Price per ${units.perWeightUnit}`}
                value={part.price}
                onChange={(event) => changePart(part.key, { price: event.target.value })}
                slotProps={{ htmlInput: { inputMode: 'decimal' } }}
              />
            </Box>
          ))}
          <Button
            className="whole"
            variant="outlined"
            sx={{ justifySelf: 'start' }}
            onClick={() => setParts([...parts, { key: newId(), name: '', parts: '1', price: '' }])}
          >
            One part more
          </Button>
          <Typography variant="h3" className="whole">
            Of the whole, a piece gets
          </Typography>
          <DoseFields dose={draft} onlyGrams onChange={(part) => setDraft({ ...draft, ...part })} />
          <InIt contents={draft} onChange={(part) => setDraft({ ...draft, ...part })} />
          <TextField
            className="whole"
            label="Note"
            value={note}
            onChange={(event) => setNote(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 1000 } }}
          />
          {wrong && (
            <Typography role="alert" color="error" className="whole">
              {wrong}
            </Typography>
          )}
          <Box className="whole">
            <ProblemNotice failure={save.error} />
          </Box>
          <Box className="whole" sx={{ display: 'flex', gap: 1 }}>
            <Button type="submit" variant="contained" disabled={save.isPending}>
              Keep the recipe
            </Button>
            <Button color="inherit" onClick={onClose}>
              Close
            </Button>
          </Box>
        </FormGrid>
      </DialogContent>
    </Dialog>
  );
}
