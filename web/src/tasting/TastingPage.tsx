import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import type { Schema } from '../api/client';
import { useTasting } from '../api/tastings';
import { CautionText } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { date } from '../kit/units';
import { Drop } from './Drop';
import { Key } from './Key';
import { Kitchen } from './Kitchen';
import { OpenOrReveal } from './OpenOrReveal';
import { Results } from './Results';
import { Power } from './Shows';
import { TableDrawing } from './TableDrawing';

type Tasting = Schema['TastingView'];

const states = { PLANNED: 'set', OPEN: 'being tasted', REVEALED: 'revealed', DROPPED: 'given up' };

/** Run a blind tasting, and read what came of it. */
export default function TastingPage() {
  const { id = '' } = useParams();
  const tasting = useTasting(id);
  if (!tasting.data) {
    return <Waiting failure={tasting.error} />;
  }
  return <Table key={id} tasting={tasting.data} />;
}

function Table({ tasting }: { tasting: Tasting }) {
  const over = tasting.state === 'REVEALED' || tasting.state === 'DROPPED';
  return (
    <Page
      title={tasting.question}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {tasting.kindLabel}, {date(tasting.heldOn)}, {states[tasting.state]}; host {tasting.host}
        </Typography>
      }
    >
      {tasting.result && <Results tasting={tasting} result={tasting.result} />}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          gap: { xs: 3, md: 6 },
          alignItems: 'start',
        }}
      >
        {!over && (
          <Box sx={{ display: 'grid', gap: 3 }}>
            <OpenOrReveal tasting={tasting} />
            <TableDrawing tasting={tasting} />
            {tasting.mine && <Key tasting={tasting} />}
          </Box>
        )}
        <Kitchen tasting={tasting} />
        {over && <Key tasting={tasting} />}
        {!over && <Power power={tasting.power} />}
      </Box>
      <Foot tasting={tasting} over={over} />
    </Page>
  );
}

function Foot({ tasting, over }: { tasting: Tasting; over: boolean }) {
  return (
    <Box sx={{ mt: 4, display: 'grid', gap: 2 }}>
      {tasting.cautions.map((caution) => (
        <CautionText key={caution} topic="COOKING">
          {caution}
        </CautionText>
      ))}
      <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {tasting.trialId && (
          <Button component={Link} to={`/trials/${tasting.trialId}`}>
            The trial it answers
          </Button>
        )}
        {tasting.plates.length > 0 && (
          <Button component={Link} to={`/tastings/${tasting.id}/sheets`}>
            Plate plan and paper sheets
          </Button>
        )}
        {over && <Button onClick={() => window.print()}>Print</Button>}
        {!over && tasting.mine && <Drop tasting={tasting} />}
      </Box>
    </Box>
  );
}
