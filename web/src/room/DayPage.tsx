import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRoom } from '../api/room';
import { Page, Waiting } from '../kit/Page';
import { date, useUnits } from '../kit/units';
import { sheets, type Sheet } from './whose';

/** The day's work on paper, by person and chamber, with room to tick and to write. */
export default function DayPage() {
  const room = useRoom();
  if (!room.data) {
    return <Waiting failure={room.error} />;
  }
  const all = sheets(room.data);
  const expected = new Map(
    room.data.chambers.flatMap(({ pieces }) => pieces.map((piece) => [piece.id, piece.expectedNowGrams])),
  );
  return (
    <Page
      title={`Work of ${date(room.data.today)}`}
      aside={
        <Button className="no-print" variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      }
    >
      {all.length === 0 && <Typography>Nothing is due.</Typography>}
      <Box sx={{ display: 'grid', gap: 3, maxWidth: 760 }}>
        {all.map((sheet) => (
          <OfChamber key={sheet.chamber} sheet={sheet} expected={expected} />
        ))}
      </Box>
    </Page>
  );
}

function OfChamber({ sheet, expected }: { sheet: Sheet; expected: Map<string, number | undefined> }) {
  const units = useUnits();
  return (
    <Box component="section" aria-label={sheet.chamber} sx={{ breakInside: 'avoid' }}>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'baseline',
          gap: 2,
          borderBottom: '3px solid',
          borderColor: 'rail',
        }}
      >
        <Typography variant="h2" sx={{ flex: 1 }}>
          {sheet.chamber}
        </Typography>
        <Typography sx={{ fontWeight: 620 }}>{sheet.keeper || 'whoever is there'}</Typography>
      </Box>
      {sheet.due.map((due) => {
        const weight = expected.get(due.subject.id);
        const weighs = due.place === 'SCALE';
        return (
          <Box
            key={`${due.work} ${due.subject.id} ${due.subject.name} ${due.words}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: {
                xs: '22px auto minmax(0, 1fr)',
                sm: '22px 5.5rem 4.5rem minmax(0, 1fr) auto',
              },
              alignItems: 'center',
              gap: 1.5,
              py: 0.75,
              borderBottom: '1px solid',
              borderColor: 'divider',
            }}
          >
            <Box
              aria-hidden
              sx={{ width: 18, height: 18, border: '1.5px solid', borderColor: 'text.primary' }}
            />
            <Typography sx={{ fontWeight: 620 }}>{due.label}</Typography>
            <Typography sx={{ typography: 'h3' }}>{due.subject.tag}</Typography>
            <Typography variant="body2" sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
              {due.work === 'DECIDE' ? due.words : `${due.subject.name}, ${due.words}`}
              {weighs && weight != null && `, expected ${units.weight(weight)}`}
            </Typography>
            {/* To be written into by hand, which nobody does on a phone. */}
            <Typography aria-hidden sx={{ display: { xs: 'none', sm: 'block' }, whiteSpace: 'nowrap' }}>
              {weighs ? '________' : ''}
            </Typography>
          </Box>
        );
      })}
    </Box>
  );
}
