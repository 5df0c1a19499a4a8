import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { useStock } from '../api/stock';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { LabelButton } from './LabelButton';
import { Makings } from './Makings';
import { PackTable } from './PackTable';
import { Rules } from './Rules';

/** What there is, what must go first, and how long by your own rule. */
export default function StockPage() {
  const stock = useStock();
  if (!stock.data) {
    return <Waiting failure={stock.error} />;
  }
  const soonestFirst = [...stock.data.packs].sort(
    (one, other) => (one.daysLeft ?? Infinity) - (other.daysLeft ?? Infinity),
  );
  return (
    <Page
      title="Stock"
      aside={
        <Box className="no-print" sx={{ display: 'flex', gap: 1 }}>
          {soonestFirst.length > 0 && <LabelButton packs={soonestFirst.map(({ id }) => id)} />}
          <Button component={Link} to="/stock/blend">
            Blend a grind
          </Button>
          <Button component={Link} to="/stock/gather">
            Gather in a jar
          </Button>
          <Button component={Link} to="/stock/render">
            Render fat
          </Button>
        </Box>
      }
    >
      {soonestFirst.length === 0 ? (
        <Typography sx={{ maxWidth: 560 }}>
          Nothing is packed. When a bench is closed, its piles are packed there, and lie here until they go.
        </Typography>
      ) : (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3 }}>
          <Sums stock={stock.data} />
          <PackTable packs={soonestFirst} today={stock.data.today} withPiece />
        </Box>
      )}
      <Makings />
      <Rules rules={stock.data.rules} />
    </Page>
  );
}

/** Each content as a bar of its weight. */
function Sums({ stock }: { stock: Schema['StockView'] }) {
  const units = useUnits();
  const most = Math.max(...stock.sums.map(({ grams }) => grams));
  return (
    <Box component="ul" aria-label="In all" sx={{ m: 0, p: 0, listStyle: 'none', maxWidth: 720 }}>
      {stock.sums.map((sum) => (
        <Box
          component="li"
          key={sum.content}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '150px minmax(0, 1fr)' },
            columnGap: 2,
            alignItems: 'center',
            py: 0.4,
          }}
        >
          <span>{sum.label}</span>
          <Box
            sx={{ display: 'flex', flexWrap: { xs: 'wrap', sm: 'nowrap' }, alignItems: 'center', gap: 1.5 }}
          >
            <Box
              aria-hidden
              sx={{
                height: 18,
                bgcolor: 'part.steak',
                flex: 'none',
                width: `${Math.max(1, (sum.grams / most) * 50)}%`,
              }}
            />
            <Typography sx={{ fontWeight: 640, whiteSpace: { sm: 'nowrap' } }}>
              {units.weight(sum.grams)} in {sum.packs} {sum.packs === 1 ? 'pack' : 'packs'}
            </Typography>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
