import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schema } from '../api/client';
import { useBench } from '../api/bench';
import { useCarcasses } from '../api/carcasses';
import { Caution } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { agedWords } from '../kit/words';
import { Workings } from '../kit/Workings';
import { EntryDialog } from '../piece/EntryDialog';
import { PhotoStory } from '../photo/PhotoStory';
import { Packs } from '../stock/Packs';
import { useScale, useScales } from '../weigh/scale';
import { Balance } from './Balance';
import { BeforeTheKnife, NobodySmelled } from './BeforeTheKnife';
import { DividedWeight } from './DividedWeight';
import { FoundLedger } from './FoundLedger';
import { KnifeWork } from './KnifeWork';
import { Piles } from './Piles';
import { useAwake } from '../kit/wake';

type Bench = Schema['BenchView'];

/** What came of it, and does it add up. */
export default function BenchPage() {
  useAwake();
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
  const { card } = bench.piece;
  const closed = card.state === 'CUT';
  return (
    <Page
      title={`Bench, ${card.tag}`}
      aside={
        <>
          <Typography sx={{ color: 'text.secondary', flex: 1 }}>
            <Link to={`/pieces/${card.id}`} style={{ color: 'inherit' }}>
              {[card.cutName, ...agedWords(card)].join(', ')}
            </Link>
          </Typography>
          <Button
            className="no-print"
            color="inherit"
            href={`/api/bench/${card.id}/sheet`}
            target="_blank"
            rel="noreferrer"
          >
            Bench sheet
          </Button>
        </>
      }
    >
      <DividedWeight bench={bench} />
      {closed ? <Closed bench={bench} /> : <Open bench={bench} />}
    </Page>
  );
}

const twoColumns = {
  display: 'grid',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 300px', lg: 'minmax(0, 1fr) 380px' },
  gap: { xs: 3, md: 4, lg: 6 },
  mt: 2.5,
};

function Open({ bench }: { bench: Bench }) {
  const units = useUnits();
  const { card } = bench.piece;
  const using = useScales();
  const shown = useScale(using.scale?.id);
  const [coatOff, setCoatOff] = useState(false);
  const whole = useCarcasses().data?.some(({ id }) => id === card.id);
  return (
    <Box sx={twoColumns}>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2.5, alignContent: 'start' }}>
        {whole && (
          <Box sx={{ borderLeft: '6px solid', borderColor: 'primary.main', pl: 2 }}>
            <Typography sx={{ mb: 1 }}>
              A whole animal: here go skin, bone and what is thrown away of it; its parts come off on its own
              page.
            </Typography>
            <Button variant="contained" component={Link} to={`/carcass/${card.id}`}>
              Break it down part by part
            </Button>
          </Box>
        )}
        <BeforeTheKnife bench={bench} shown={shown} />
        {card.coatGrams > 0 && (
          <Box sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2 }}>
            <Typography sx={{ mb: 1 }}>
              A coat or seal of {units.weight(card.coatGrams)} is still counted as on. Take it off and weigh
              it first, else the shrink comes out wrong.
            </Typography>
            <Button variant="outlined" color="warning" onClick={() => setCoatOff(true)}>
              Weigh the coat
            </Button>
          </Box>
        )}
        <Piles bench={bench} using={using} shown={shown} />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3, alignContent: 'start' }}>
        {!whole && <Balance bench={bench} />}
        <Caution of="KNIFE_AND_SAW" />
        <PhotoStory card={card} shows="CUT_FACE" />
      </Box>
      {coatOff && <EntryDialog pieceId={card.id} kind="COAT_OFF" onClose={() => setCoatOff(false)} />}
    </Box>
  );
}

function Closed({ bench }: { bench: Bench }) {
  return (
    <Box sx={twoColumns}>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 4, alignContent: 'start' }}>
        <FoundLedger bench={bench} />
        <NobodySmelled piece={bench.piece} />
        <KnifeWork bench={bench} />
        <Packs bench={bench} />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3, alignContent: 'start' }}>
        <Balance bench={bench} />
        <PhotoStory card={bench.piece.card} shows="STEAKS" />
        <Workings workings={bench.piece.workings} />
      </Box>
    </Box>
  );
}
