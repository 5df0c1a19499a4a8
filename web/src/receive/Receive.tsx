import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { useCarcasses } from '../api/carcasses';
import { refresh } from '../api/house';
import { useLots } from '../api/lots';
import { stateWords } from '../carcass/words';
import { newId, useDraft } from '../kit/drafts';
import { Page } from '../kit/Page';
import { date, useUnits } from '../kit/units';
import { LotFields, lotBody, type LotText } from './LotFields';

const empty = (): LotText & { id: string } => ({
  id: newId(),
  cutCode: '',
  grade: '',
  boneIn: false,
  fatCover: '',
  weight: '',
  price: '',
  supplier: '',
  packedOn: '',
  receivedOn: dayjs().format('YYYY-MM-DD'),
  temperature: '',
  sourceTag: '',
  note: '',
});

/** What came in: weigh it, say what it is, and see whether it is right. */
export default function Receive() {
  const navigate = useNavigate();
  const units = useUnits();
  const [draft, setDraft, clearDraft] = useDraft('receive', empty);
  const receive = useMutation({
    mutationFn: (body: Schema['LotForm']) => answer(api.POST('/api/lots', { body })),
    onSuccess: async (lot) => {
      clearDraft();
      await refresh();
      navigate(`/lots/${lot.id}`);
    },
  });
  return (
    <Page
      title="Receive"
      aside={
        <Button component={Link} to="/carcass/new">
          An animal comes in
        </Button>
      }
    >
      <LotFields
        text={draft}
        onText={(text) => {
          setDraft({ ...draft, ...text });
          receive.reset();
        }}
        save="Take it in"
        busy={receive.isPending}
        failure={receive.error}
        onSave={(answers) => receive.mutate(lotBody(draft, units, draft.id, 0, answers))}
      />
      <Game />
      <Lots />
    </Page>
  );
}

/** Whole animals, and what is held back of them. */
function Game() {
  const carcasses = useCarcasses();
  if (!carcasses.data || carcasses.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="game" sx={{ mt: 5, maxWidth: 760 }}>
      <Typography id="game" variant="h2" sx={{ mb: 1 }}>
        Game
      </Typography>
      {carcasses.data.map((carcass) => (
        <Box
          key={carcass.id}
          component={Link}
          to={`/carcass/${carcass.id}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: '4.5rem 1fr auto',
            gap: 1,
            py: 1,
            borderTop: '1px solid',
            borderColor: 'divider',
            color: 'text.primary',
            textDecoration: 'none',
            '&:hover': { bgcolor: 'background.paper' },
          }}
        >
          <strong>{carcass.tag || carcass.card.tag}</strong>
          <span>{carcass.label}</span>
          <span>{carcass.held ?? stateWords[carcass.card.state]}</span>
        </Box>
      ))}
    </Box>
  );
}

function Lots() {
  const lots = useLots();
  const units = useUnits();
  if (!lots.data || lots.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="lots" sx={{ mt: 5, maxWidth: 760 }}>
      <Typography id="lots" variant="h2" sx={{ mb: 1 }}>
        Lots so far
      </Typography>
      {lots.data.slice(0, 30).map((lot) => (
        <Box
          key={lot.id}
          component={Link}
          to={`/lots/${lot.id}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '2.5rem 1fr 6rem', sm: '3rem 1fr 9rem 7rem 8rem' },
            gap: 1,
            py: 1,
            borderTop: '1px solid',
            borderColor: 'divider',
            color: 'text.primary',
            textDecoration: 'none',
            '&:hover': { bgcolor: 'background.paper' },
          }}
        >
          <strong>{lot.number}</strong>
          <span>{lot.cutName}</span>
          <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
            {lot.supplier}
          </Box>
          <span>{units.weight(lot.receivedGrams)}</span>
          <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' }, color: 'text.secondary' }}>
            {date(lot.receivedOn)}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
