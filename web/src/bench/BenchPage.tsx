import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh, useBench } from '../api/queries';
import { newId } from '../kit/drafts';
import { Caution, ProblemNotice, Questions } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { percent, useUnits } from '../kit/units';
import { Workings } from '../kit/Workings';
import { EntryDialog } from '../piece/EntryDialog';
import { Packs } from '../stock/Packs';
import { DividedWeight } from './DividedWeight';
import { FoundLedger } from './FoundLedger';
import { Piles } from './Piles';

type Bench = Schema['BenchView'];

/** What came of it, and does it add up. */
export default function BenchPage() {
  const { id = '' } = useParams();
  const bench = useBench(id);
  if (!bench.data) {
    return (
      <Page title="Bench">
        <Waiting failure={bench.error} />
        {bench.error && <Link to={`/pieces/${id}`}>To the piece</Link>}
      </Page>
    );
  }
  return <Block key={id} bench={bench.data} />;
}

function Block({ bench }: { bench: Bench }) {
  const units = useUnits();
  const { card } = bench.piece;
  const [coatOff, setCoatOff] = useState(false);
  const closed = card.state === 'CUT';
  return (
    <Page
      title={`Bench, ${card.tag}`}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          <Link to={`/pieces/${card.id}`} style={{ color: 'inherit' }}>
            {card.cutName}, {card.methodLabel?.toLowerCase()}, {card.dayNumber} days
          </Link>
        </Typography>
      }
    >
      <DividedWeight bench={bench} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 380px' },
          gap: { xs: 3, md: 6 },
          mt: 3,
        }}
      >
        {closed ? (
          <Box sx={{ display: 'grid', gap: 4, alignContent: 'start' }}>
            <FoundLedger bench={bench} />
            <Packs bench={bench} />
          </Box>
        ) : (
          <Box sx={{ display: 'grid', gap: 2.5 }}>
            {card.coatGrams > 0 && (
              <Box sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2 }}>
                <Typography sx={{ mb: 1 }}>
                  A coat or seal of {units.weight(card.coatGrams)} is still counted as on. Take it off and
                  weigh it first, else the shrink comes out wrong.
                </Typography>
                <Button variant="outlined" color="warning" onClick={() => setCoatOff(true)}>
                  Weigh the coat
                </Button>
              </Box>
            )}
            <Order bench={bench} />
            <Piles bench={bench} />
          </Box>
        )}
        <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
          <Balance bench={bench} />
          {!closed && (
            <Caution rule="bench">
              Cut-resistant glove on the holding hand. Trim ground with crust is ground meat: cook it through.
            </Caution>
          )}
          {closed && <Workings workings={bench.piece.workings} />}
        </Box>
      </Box>
      {coatOff && <EntryDialog pieceId={card.id} kind="COAT_OFF" onClose={() => setCoatOff(false)} />}
    </Page>
  );
}

function Order({ bench }: { bench: Bench }) {
  const pieceId = bench.piece.card.id;
  const choose = useMutation({
    mutationFn: (order: Schema['OrderForm']['order']) =>
      answer(api.PUT('/api/bench/{pieceId}/order', { params: { path: { pieceId } }, body: { order } })),
    onSuccess: refresh,
  });
  return (
    <ToggleButtonGroup
      exclusive
      aria-label="Order at the bench"
      value={bench.piece.benchOrder ?? null}
      onChange={(_, order: Schema['OrderForm']['order'] | null) => order && choose.mutate(order)}
    >
      <ToggleButton value="SLICE_FIRST">Slice first, trim each steak</ToggleButton>
      <ToggleButton value="TRIM_FIRST">Trim the whole, then slice</ToggleButton>
    </ToggleButtonGroup>
  );
}

/** Whether it adds up, and closing or opening again. */
function Balance({ bench }: { bench: Bench }) {
  const units = useUnits();
  const { card, ledger } = bench.piece;
  const [entryId, setEntryId] = useState(newId);
  const closed = card.state === 'CUT';
  const close = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/bench/{pieceId}/close/{entryId}', {
          params: { path: { pieceId: card.id, entryId } },
          body: { answers },
        }),
      ),
    onSuccess: async () => {
      setEntryId(newId());
      await refresh();
    },
  });
  const left = ledger.residualGrams;
  const words =
    left === 0 ? 'Every gram is on a pile' : left > 0 ? 'is on no pile' : 'more on the piles than there was';
  return (
    <Box component="section" aria-labelledby="balance" sx={{ display: 'grid', gap: 2 }}>
      <Box role="status">
        <Typography id="balance" variant="h2">
          Balance
        </Typography>
        {left !== 0 && (
          <Typography
            sx={{
              fontSize: 40,
              fontWeight: 660,
              lineHeight: 1.1,
              color: bench.balance === 'CLOSES' ? 'text.primary' : 'warning.main',
            }}
          >
            {units.weight(Math.abs(left))}
          </Typography>
        )}
        <Typography>
          {words}
          {left !== 0 && bench.balance === 'CLOSES' && ', within what scale and drip explain'}
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          asked about above {units.weight(Math.round(bench.askAboveGrams))}, a reason needed above{' '}
          {units.weight(Math.round(bench.refuseAboveGrams))}
        </Typography>
      </Box>
      <ProblemNotice failure={close.error} />
      <Questions
        failure={close.error}
        busy={close.isPending}
        keep="Close it so"
        onAnswer={(answers) => close.mutate(answers)}
      />
      {closed ? (
        <Reopen pieceId={card.id} />
      ) : (
        <Button
          variant="contained"
          size="large"
          disabled={close.isPending}
          onClick={() => close.mutate({})}
          sx={{ minHeight: 56 }}
        >
          Close the bench
        </Button>
      )}
      {!closed && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Steak so far {percent(ledger.steakYield)} of the green weight; {percent(bench.expected.steak)} was
          expected.
        </Typography>
      )}
    </Box>
  );
}

function Reopen({ pieceId }: { pieceId: string }) {
  const [entryId] = useState(newId);
  const [reason, setReason] = useState<string | null>(null);
  const open = useMutation({
    mutationFn: (why: string) =>
      answer(
        api.PUT('/api/bench/{pieceId}/reopen/{entryId}', {
          params: { path: { pieceId, entryId } },
          body: { reason: why },
        }),
      ),
    onSuccess: refresh,
  });
  if (reason === null) {
    return (
      <Button variant="outlined" color="inherit" onClick={() => setReason('')} sx={{ justifySelf: 'start' }}>
        Open it again
      </Button>
    );
  }
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <TextField
        label="Why it is opened again"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        autoFocus
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
      <ProblemNotice failure={open.error} />
      <Button
        variant="outlined"
        disabled={!reason.trim() || open.isPending}
        onClick={() => open.mutate(reason)}
      >
        Open the bench
      </Button>
    </Box>
  );
}
