import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useParams } from 'react-router';
import type { Schema } from '../api/client';
import { useTasting } from '../api/tastings';
import { DataTable } from '../kit/DataTable';
import { Page, Waiting } from '../kit/Page';

type Tasting = Schema['TastingView'];

const questions = {
  PAIRED: 'I like more (write the number):',
  TRIANGLE: 'Different from the other two (write the number, guess if you must):',
  RANKING: 'In order, the best first:',
};

/** For the kitchen which code goes where, and for tasters without a phone a sheet each. */
export default function SheetsPage() {
  const { id = '' } = useParams();
  const tasting = useTasting(id);
  if (!tasting.data) {
    return <Waiting failure={tasting.error} />;
  }
  if (tasting.data.plates.length === 0) {
    return <Page title="Plate plan">Until the reveal only the host sees it.</Page>;
  }
  return (
    <Page
      title="Plate plan"
      aside={
        <Button className="no-print" variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      }
    >
      <Typography sx={{ mb: 2 }}>
        For the kitchen only. Plates are carried out in this order, left to right.
      </Typography>
      <Plan tasting={tasting.data} />
      {tasting.data.plates.map((plate) => (
        <Paper key={`${plate.place} ${plate.round}`} tasting={tasting.data} plate={plate} />
      ))}
    </Page>
  );
}

function Plan({ tasting }: { tasting: Tasting }) {
  const name = (place: number) => tasting.places[place - 1]?.name ?? '';
  return (
    <DataTable label="Plate plan">
      <thead>
        <tr>
          <th scope="col">Place</th>
          {tasting.rounds > 1 && <th scope="col">Round</th>}
          {tasting.plates[0]?.servings.map((_, turn) => (
            <th scope="col" key={turn}>
              {turn + 1}.
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {tasting.plates.map((plate) => (
          <tr key={`${plate.place} ${plate.round}`}>
            <th scope="row">
              {plate.place} {name(plate.place)}
            </th>
            {tasting.rounds > 1 && <td>{plate.round + 1}</td>}
            {plate.servings.map(({ code, sample }) => (
              <td key={code}>
                <strong>{code}</strong> {tasting.samples[sample]?.name}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

/** By codes only: it lies before the taster. */
function Paper({ tasting, plate }: { tasting: Tasting; plate: Schema['PlateView'] }) {
  return (
    <Box sx={{ breakBefore: 'page', borderTop: '2px solid', borderColor: 'rail', mt: 5, pt: 2 }}>
      <Typography variant="h2">
        Place {plate.place}
        {tasting.rounds > 1 && `, round ${plate.round + 1}`}
      </Typography>
      <Typography sx={{ mb: 2 }}>
        Taste in this order, rinse between them, say nothing aloud.
        {tasting.attributes.length > 0 && ' Ring a number from 1 to 7.'}
      </Typography>
      {plate.servings.map(({ code }) => (
        <Box key={code} sx={{ mb: 2.5, breakInside: 'avoid' }}>
          <Typography variant="h3">{code}</Typography>
          {tasting.attributes.map((attribute) => (
            <Box
              key={attribute.key}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr', sm: '170px 110px 1fr 110px' },
                '@media print': { gridTemplateColumns: '170px 110px 1fr 110px' },
                gap: 1,
                maxWidth: 720,
              }}
            >
              <span>{attribute.label}</span>
              <Box
                component="span"
                sx={{ textAlign: { sm: 'right' }, '@media print': { textAlign: 'right' } }}
              >
                {attribute.low}
              </Box>
              <Box component="span" sx={{ letterSpacing: '0.9em', textAlign: { sm: 'center' } }}>
                1234567
              </Box>
              <span>{attribute.high}</span>
            </Box>
          ))}
          <Line>Words:</Line>
        </Box>
      ))}
      {tasting.kind !== 'SCORES' && <Line>{questions[tasting.kind]}</Line>}
      <Typography sx={{ mt: 1 }}>I knew, or guessed, which was which: yes / no</Typography>
    </Box>
  );
}

/** A question with a line to write on. */
function Line({ children }: { children: string }) {
  return (
    <Typography
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        mt: 0.5,
        maxWidth: 720,
        '&::after': { content: '""', flex: '1 1 8rem', borderBottom: '1px solid' },
      }}
    >
      {children}
    </Typography>
  );
}
