import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { answer, api } from '../api/client';
import { CurveChart } from '../kit/CurveChart';
import { Waiting } from '../kit/Page';
import { SectionGlyph, describeSection } from '../kit/SectionGlyph';
import { days, percent } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';
import { Plain } from './Plain';
import { SaveButtons } from './SaveButtons';
import { SharedPhoto } from './SharedPhoto';
import { shares } from '../kit/axis';

/** A piece as whoever has its link sees it. */
export default function SharedPiecePage() {
  const { token = '' } = useParams();
  const page = useQuery({
    queryKey: ['shared piece', token],
    queryFn: () =>
      answer(api.GET('/shared/PIECE', { params: { header: { Authorization: `Bearer ${token}` } } })),
    retry: false,
  });
  if (page.error) {
    return <Plain title="This page is no longer shown">The link was taken back, or it is not whole.</Plain>;
  }
  if (!page.data) {
    return <Waiting />;
  }
  const piece = page.data;
  const { ledger } = piece;
  const last = Math.max(1, ...piece.weighings.map(({ day }) => Math.ceil(day)));
  return (
    <Plain title={piece.cut} caution={piece.caution}>
      <Typography sx={{ color: 'text.secondary', mb: 2 }}>
        {[
          piece.method ?? 'set aside fresh',
          piece.day != null && `${days(piece.day)}${piece.cutUp ? '' : ` of ${piece.targetDays ?? ''}`}`,
          ...piece.given,
        ]
          .filter(Boolean)
          .join(', ')}
      </Typography>
      <Box sx={{ display: 'grid', gap: 4 }}>
        <SectionGlyph
          shape={piece.shape}
          section={piece.section}
          size={220}
          title={describeSection(piece.section)}
        />
        {/* Of what hangs and was never weighed nobody knows what it lost. */}
        {(piece.cutUp || piece.weighings.length > 0) && (
          <Typography sx={{ fontSize: '1.4rem', fontWeight: 640 }}>
            {percent(ledger.shrinkFraction)} water lost
            {piece.cutUp &&
              `; ${percent(ledger.steakYield)} steak, ${percent(ledger.usableYield)} usable, ${percent(ledger.discardFraction)} thrown away`}
          </Typography>
        )}
        {piece.cutUp && (
          <WeightBar ledger={ledger} scaleGrams={ledger.greenGrams} height={40} name={piece.cut} />
        )}
        {piece.weighings.length > 1 && (
          <CurveChart
            label={`Share of the green weight lost, weighed ${piece.weighings.length} times.`}
            height={260}
            days={last}
            least={0}
            axis={shares}
            curves={[]}
            marks={piece.weighings.map(({ day, lost }) => ({ day, value: Math.max(0, lost) }))}
          />
        )}
        {piece.seen.map((look, index) => (
          <Box key={index}>
            <Typography>{look.seen}</Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
              {look.photos.map((photo) => (
                <SharedPhoto key={photo} what="PIECE" token={token} photo={photo} alt={look.seen} />
              ))}
            </Box>
          </Box>
        ))}
        <SaveButtons what="PIECE" token={token} />
      </Box>
    </Plain>
  );
}
