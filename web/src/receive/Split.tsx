import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useAtDesk } from '../kit/focus';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh, useToday } from '../api/house';
import { useMethods } from '../api/pieces';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { Group } from '../kit/form/group';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { CuttingLoss } from './CuttingLoss';
import { pieceBody, SplitPiece, type PieceText } from './SplitPiece';
import { usualAgeing } from '../kit/methods';

type Method = Schema['MethodView'];

/** Cut a lot into pieces and hang them. A lot that hangs whole is one piece. */
export function Split({ lot, onHung }: { lot: Schema['LotView']; onHung: () => void }) {
  const methods = useMethods();
  const chambers = useChambers();
  if (!methods.data || !chambers.data) {
    return <Waiting failure={methods.error ?? chambers.error} />;
  }
  if (chambers.data.length === 0) {
    return (
      <Typography>
        There is no chamber to hang it in yet. <Link to="/settings">Add one</Link>, then come back: the lot
        waits here.
      </Typography>
    );
  }
  return <SplitForm onHung={onHung} lot={lot} methods={methods.data} chambers={chambers.data} />;
}

interface FormProps {
  onHung: () => void;
  lot: Schema['LotView'];
  methods: Method[];
  chambers: Schema['ChamberForm'][];
}

interface SplitText {
  hungOn: string;
  pieces: PieceText[];
}

const Lot = fieldsOf<SplitText>();

/** What the server calls these. */
const names = {
  'pieces.*.greenGrams': 'pieces.*.weight',
  'pieces.*.targetDays': 'pieces.*.days',
  'pieces.*.coatGrams': 'pieces.*.coat',
  'pieces.*.contactPercent': 'pieces.*.contact',
  'pieces.*.consumablesMinor': 'pieces.*.consumables',
  'pieces.*.hungOn': 'hungOn',
  'pieces.*.count': 'pieces.*.count',
};

function SplitForm({ lot, methods, chambers, onHung }: FormProps) {
  const atDesk = useAtDesk();
  const units = useUnits();
  const { id, receivedGrams } = lot.form;
  const first = chambers[0];
  const usual = usualAgeing(methods, first?.kind, units);
  const fresh = (weight: string, like?: PieceText): PieceText => ({
    id: newId(),
    weight,
    role: like?.role ?? 'PLAIN',
    method: like?.method ?? usual?.method ?? 'OPEN_AIR',
    chamberId: like?.chamberId ?? first?.id ?? '',
    days: like?.days ?? usual?.days ?? '28',
    coat: '',
    coating: 'NONE',
    contact: '',
    consumables: like?.consumables ?? usual?.consumables ?? '',
    count: '',
  });
  const today = useToday();
  const form = useKeptForm<SplitText>(`split ${id}`, () => ({
    hungOn: today,
    pieces: [fresh(units.weightForField(receivedGrams))],
  }));
  const draft = form.values;
  const grams = draft.pieces.map((piece) => units.readWeight(piece.weight));
  const split = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.POST('/api/lots/{id}/pieces', {
          params: { path: { id } },
          body: { answers, pieces: draft.pieces.map((piece) => pieceBody(piece, draft.hungOn, units)) },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      onHung();
      await refresh();
    },
  });
  return (
    <Form
      form={form}
      failure={split.error}
      names={names}
      onChange={split.reset}
      onSubmit={() => split.mutate({})}
      sx={{ display: 'grid', gap: 2.5, maxWidth: 1180 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, flexWrap: 'wrap' }}>
        <Typography variant="h2">Cut it and hang it</Typography>
        <Lot.Day name="hungOn" label="Hung on" size="small" required sx={{ width: 180 }} />
      </Box>
      {draft.pieces.map((piece, index) => (
        <Group key={piece.id} name={`pieces.${index}`}>
          <SplitPiece
            tag={`${lot.number}${String.fromCharCode(65 + index)}`}
            methods={methods}
            chambers={chambers}
            begins={atDesk && (index === 0 || index === draft.pieces.length - 1)}
            onRemove={
              draft.pieces.length > 1
                ? () => form.change({ pieces: draft.pieces.filter((each) => each.id !== piece.id) })
                : undefined
            }
          />
        </Group>
      ))}
      <Box>
        <Button
          variant="outlined"
          onClick={() => form.change({ pieces: [...draft.pieces, fresh('', draft.pieces.at(-1))] })}
        >
          One piece more
        </Button>
      </Box>
      <CuttingLoss lotId={id} grams={grams.filter((each): each is number => each !== null && each > 0)} />
      <Save
        busy={split.isPending}
        failure={split.error}
        keep="Hang it so"
        onAnswer={(answers) => split.mutate(answers)}
      >
        Hang it
      </Save>
    </Form>
  );
}
