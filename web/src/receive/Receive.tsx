import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { useCarcasses } from '../api/carcasses';
import { refresh, useToday } from '../api/house';
import { useLots } from '../api/lots';
import { stateWords } from '../carcass/words';
import { useKeptForm } from '../kit/form/keptForm';
import { LinkedRow, ruled } from '../kit/LinkedRow';
import { Page } from '../kit/Page';
import { date, useUnits } from '../kit/units';
import { lotBody, noLot } from './draft';
import { LotForm } from './LotForm';

/** What came in: weigh it, say what it is, and see whether it is right. */
export default function Receive() {
  const navigate = useNavigate();
  const units = useUnits();
  const today = useToday();
  const form = useKeptForm(
    'receive',
    () => noLot(today),
    (kept) => ({ ...noLot(today), ...kept }),
  );
  const receive = useMutation({
    mutationFn: (body: Schema['LotForm']) => answer(api.POST('/api/lots', { body })),
    onSuccess: async (lot) => {
      form.clear();
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
      <LotForm
        form={form}
        comesIn
        save="Take it in"
        busy={receive.isPending}
        failure={receive.error}
        onChange={receive.reset}
        onSave={(answers) => receive.mutate(lotBody(form.hook.getValues(), units, answers))}
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
        <LinkedRow
          key={carcass.id}
          to={`/carcass/${carcass.id}`}
          sx={{ ...ruled, gridTemplateColumns: '4.5rem 1fr auto' }}
        >
          <strong>{carcass.tag || carcass.card.tag}</strong>
          <span>{carcass.label}</span>
          <span>{carcass.held ?? stateWords[carcass.card.state]}</span>
        </LinkedRow>
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
        <LinkedRow
          key={lot.id}
          to={`/lots/${lot.id}`}
          sx={{
            ...ruled,
            gridTemplateColumns: { xs: 'auto minmax(0, 1fr) auto', sm: '3rem 1fr 9rem 7rem 8rem' },
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
        </LinkedRow>
      ))}
    </Box>
  );
}
