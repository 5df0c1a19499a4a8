import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Answers, type PieceView, type Schema } from '../api/client';
import { refresh, useSession } from '../api/house';
import { useLot } from '../api/lots';
import { useRecipes, useScaled, useTreatments } from '../api/treatments';
import { FormGrid } from '../kit/FormGrid';
import { newId, useDraft } from '../kit/drafts';
import { Caution, ProblemNotice, Questions } from '../kit/Notices';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { Amounts } from './Amounts';
import { firstOf } from './draft';
import { doseBody, giveBody, GiveFields, type Give } from './GiveFields';

interface Props {
  piece: PieceView;
  /** Which kind stands first. */
  kind?: string | null;
  onClose: () => void;
}

/** Gives a treatment to a piece: what, how much of it, what it costs; its steps become tasks. */
export function GiveDialog({ piece, kind, onClose }: Props) {
  const phone = useMediaQuery('(max-width:600px)');
  const kinds = useTreatments();
  const recipes = useRecipes();
  const first = kinds.data?.find((each) => each.kind === kind) ?? kinds.data?.[0];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" fullScreen={phone} aria-labelledby="give-title">
      <DialogTitle id="give-title" sx={{ display: 'flex', alignItems: 'center', typography: 'h2' }}>
        <span style={{ flex: 1 }}>Treat {piece.card.tag}</span>
        <Button onClick={onClose} color="inherit">
          Close
        </Button>
      </DialogTitle>
      <DialogContent>
        {kinds.data && first && recipes.data ? (
          <GiveForm piece={piece} kinds={kinds.data} recipes={recipes.data} first={first} onClose={onClose} />
        ) : (
          <Waiting failure={kinds.error ?? recipes.error} />
        )}
      </DialogContent>
    </Dialog>
  );
}

interface FormProps extends Props {
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  first: Schema['TreatmentView'];
}

function GiveForm({ piece, kinds, recipes, first, onClose }: FormProps) {
  const units = useUnits();
  const { card } = piece;
  const today = useSession().data?.me?.today ?? '';
  const lot = useLot(card.lotId);
  const [id] = useState(newId);
  const [draft, setDraft, clearDraft] = useDraft<Give & { coat: string; cost: string; beganOn: string }>(
    `treat ${card.id}`,
    () => ({ ...firstOf(first), exactly: '', number: '', coat: '', cost: '', beganOn: today }),
  );
  const scaled = useScaled(
    lot.data && card.method
      ? {
          ...doseBody(draft),
          cutCode: lot.data.form.cutCode,
          grams: card.greenGrams,
          method: card.method,
          sharedChamber: false,
        }
      : null,
  );
  const give = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/pieces/{pieceId}/treatments/{entryId}', {
          params: { path: { pieceId: card.id, entryId: id } },
          body: {
            ...giveBody(draft),
            beganOn: draft.beganOn === '' ? undefined : draft.beganOn,
            coatGrams: units.readWeight(draft.coat) ?? 0,
            costMinor: draft.cost === '' ? undefined : (units.readMoney(draft.cost) ?? undefined),
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      clearDraft();
      await refresh();
      onClose();
    },
  });
  const change = (part: Partial<typeof draft>) => {
    setDraft({ ...draft, ...part });
    give.reset();
  };
  const unreadable = draft.amount.trim() !== '' && readNumber(draft.amount) === null;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!unreadable) {
      give.mutate({});
    }
  };
  return (
    <FormGrid onSubmit={submit}>
      <GiveFields give={draft} kinds={kinds} recipes={recipes} onChange={change} />
      {scaled.data && (
        <Box className="whole">
          <Amounts scaled={scaled.data} />
        </Box>
      )}
      <TextField
        size="small"
        label="Began on"
        type="date"
        value={draft.beganOn}
        onChange={(event) => change({ beganOn: event.target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <TextField
        size="small"
        label="It costs"
        value={draft.cost}
        placeholder={
          scaled.data && scaled.data.costMinor > 0 ? units.moneyForField(scaled.data.costMinor) : ''
        }
        onChange={(event) => change({ cost: event.target.value })}
        slotProps={{
          htmlInput: { inputMode: 'decimal' },
          inputLabel: { shrink: true },
          input: { endAdornment: <InputAdornment position="end">{units.currency}</InputAdornment> },
        }}
      />
      {kinds.find((each) => each.kind === draft.kind)?.slows && (
        <Box className="whole">
          <WeightField
            size="small"
            label="Coat on it already"
            text={draft.coat}
            onText={(coat) => change({ coat })}
            helper="Leave it empty if you weigh it on later."
          />
        </Box>
      )}
      <Box className="whole" sx={{ display: 'grid', gap: 1.5 }}>
        <Caution of="TREATED_COLD" />
        <ProblemNotice failure={give.error} />
        <Questions
          failure={give.error}
          busy={give.isPending}
          keep="Treat it so"
          onAnswer={(answers) => give.mutate(answers)}
        />
        <Button type="submit" variant="contained" size="large" disabled={give.isPending || unreadable}>
          Treat it
        </Button>
      </Box>
    </FormGrid>
  );
}
