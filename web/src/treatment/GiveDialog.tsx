import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Answers, type PieceView, type Schema } from '../api/client';
import { refresh, useToday } from '../api/house';
import { useLot } from '../api/lots';
import { useRecipes, useScaled, useTreatments } from '../api/treatments';
import { FormGrid } from '../kit/FormGrid';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { Caution } from '../kit/Notices';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits } from '../kit/units';
import { Amounts } from './Amounts';
import { firstOf } from './draft';
import { doseBody, giveBody, type Give } from './give';
import { GiveFields } from './GiveFields';

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

type Text = Give & { coat: string; cost: string; beganOn: string; minutes: string };

const Given = fieldsOf<Text>();

function GiveForm({ piece, kinds, recipes, first, onClose }: FormProps) {
  const units = useUnits();
  const { card } = piece;
  const today = useToday();
  const lot = useLot(card.lotId);
  const [id] = useState(newId);
  const form = useKeptForm<Text>(`treat ${card.id}`, () => ({
    ...firstOf(first),
    exactly: '',
    number: '',
    coat: '',
    cost: '',
    beganOn: today,
    minutes: '',
  }));
  const draft = form.values;
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
            minutes:
              draft.kind === 'COLD_SMOKE' && draft.minutes !== ''
                ? Math.round(readNumber(draft.minutes) ?? 0)
                : undefined,
            costMinor: draft.cost === '' ? undefined : (units.readMoney(draft.cost) ?? undefined),
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
      onClose();
    },
  });
  return (
    <Form
      form={form}
      failure={give.error}
      names={{ coatGrams: 'coat', costMinor: 'cost' }}
      onChange={give.reset}
      onSubmit={() => give.mutate({})}
    >
      <FormGrid dialog>
        <GiveFields kinds={kinds} recipes={recipes} />
        {scaled.data && (
          <Box className="whole">
            <Amounts scaled={scaled.data} />
          </Box>
        )}
        <Given.Day size="small" name="beganOn" label="Began on" />
        <Given.Measure
          size="small"
          name="cost"
          label="It costs"
          of="money"
          placeholder={
            scaled.data && scaled.data.costMinor > 0 ? units.moneyForField(scaled.data.costMinor) : ' '
          }
        />
        {draft.kind === 'COLD_SMOKE' && (
          <Given.Measure
            className="whole"
            size="small"
            name="minutes"
            label="It was done already: minutes of smoke in all"
            of="minutes"
            helper="Leave it empty to smoke it now, burst by burst."
          />
        )}
        {kinds.find((each) => each.kind === draft.kind)?.slows && (
          <Box className="whole">
            <Given.Weight
              size="small"
              name="coat"
              label="Coat on it already"
              helper="Leave it empty if you weigh it on later."
            />
          </Box>
        )}
        <Box className="whole">
          <Caution of="TREATED_COLD" />
        </Box>
        <Save
          busy={give.isPending}
          failure={give.error}
          keep="Treat it so"
          onAnswer={(answers) => give.mutate(answers)}
        >
          Treat it
        </Save>
      </FormGrid>
    </Form>
  );
}
