import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { PieceCard, Schema } from '../api/client';
import { LinkedRow } from '../kit/LinkedRow';
import { SectionGlyph } from '../kit/SectionGlyph';
import { useUnits, type Units } from '../kit/units';
import { gone, neverWeighed } from '../kit/weighed';

type Chamber = Schema['ChamberView'];

/** What one piece takes on a rail, px. */
const PLACE_WIDTH = 76;
const PLACE_HEIGHT = 152;

/** A chamber as it hangs: its rails from above to below, each piece on its hook. */
export function ChamberRails({ chamber }: { chamber: Chamber }) {
  const units = useUnits();
  const rails = Array.from({ length: chamber.rails }, (_, index) => index + 1)
    .map((rail) => ({
      rail,
      pieces: chamber.pieces
        .filter((piece) => (piece.rail ?? 1) === rail)
        .sort((a, b) => (a.slot ?? 0) - (b.slot ?? 0)),
    }))
    .filter(({ rail, pieces }) => pieces.length > 0 || rail === 1);
  const full = chamber.loadGrams > chamber.limitGrams;
  const widest = Math.max(3, ...rails.map(({ pieces }) => pieces.length));
  return (
    <Box component="section" aria-label={chamber.name} sx={{ width: widest * PLACE_WIDTH, maxWidth: '100%' }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', columnGap: 1.5, flexWrap: 'wrap' }}>
        <Typography
          variant="h2"
          noWrap
          component={Link}
          to={`/chambers/${chamber.id}`}
          sx={{ color: 'text.primary', textDecorationThickness: 1, textUnderlineOffset: 4 }}
        >
          {chamber.name}
        </Typography>
        <Climate chamber={chamber} units={units} />
        <Typography
          variant="body2"
          noWrap
          sx={{ color: full ? 'warning.main' : 'text.secondary', fontWeight: full ? 680 : 400 }}
        >
          {units.load(chamber.loadGrams)} of {units.load(chamber.limitGrams)}
          {full && ': too full'}
        </Typography>
      </Box>
      {chamber.setPointMiss && (
        <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 620, mt: 0.5 }}>
          {chamber.setPointMiss}
        </Typography>
      )}
      {rails.map(({ rail, pieces }) => (
        <Box
          key={rail}
          component="ul"
          sx={{
            listStyle: 'none',
            m: 0,
            mt: 0.75,
            p: 0,
            display: 'flex',
            flexWrap: 'wrap',
            // The rail is drawn along every row of pieces, also where a narrow screen breaks them.
            backgroundImage: `repeating-linear-gradient(to bottom, var(--mui-palette-rail) 0 3px, transparent 3px ${PLACE_HEIGHT}px)`,
          }}
        >
          {pieces.map((piece) => (
            <HungPiece key={piece.id} piece={piece} units={units} />
          ))}
          {pieces.length === 0 && (
            <Typography component="li" variant="body2" sx={{ color: 'text.secondary', py: 2 }}>
              Nothing hangs here
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}

/** The air as measured, or as set where nobody measures. */
function Climate({ chamber, units }: { chamber: Chamber; units: Units }) {
  const { air } = chamber;
  const celsius = air?.latest.celsius;
  if (!air || celsius == null) {
    return (
      <Typography variant="body2" noWrap sx={{ color: 'text.secondary' }}>
        set to {units.temperature(chamber.setCelsius)}
        {chamber.setHumidityPercent != null && `, ${chamber.setHumidityPercent} % RH`}
      </Typography>
    );
  }
  const trouble = air.health === 'WELL' ? (celsius > 5 ? 'too warm' : '') : 'probe silent';
  return (
    <Typography
      variant="body2"
      noWrap
      sx={{ color: trouble ? 'warning.main' : 'text.secondary', fontWeight: trouble ? 680 : 400 }}
    >
      {units.temperature(celsius)}
      {air.latest.humidityPercent != null && `, ${Math.round(air.latest.humidityPercent)} % RH`}
      {trouble && `: ${air.health === 'STUCK' ? 'probe stuck' : trouble}`}
    </Typography>
  );
}

function state(piece: PieceCard): { words: string; act: boolean } {
  if (piece.overdueDays > 0) {
    return { words: `${piece.overdueDays} d over`, act: true };
  }
  if (piece.dayNumber === piece.targetDays) {
    return { words: 'pull today', act: true };
  }
  return { words: `day ${piece.dayNumber} / ${piece.targetDays}`, act: false };
}

/** What the forecast says in a word: that it goes its own way, else what it will weigh at the pull. */
function Ahead({ piece, units }: { piece: PieceCard; units: Units }) {
  const drifts = piece.drift !== 'NONE';
  const ahead = (piece.dayNumber ?? 0) < (piece.targetDays ?? 0);
  if (!drifts && (piece.expectedPullGrams == null || !ahead)) {
    return null;
  }
  return (
    <Typography
      variant="caption"
      noWrap
      sx={{
        lineHeight: 1.3,
        fontWeight: drifts ? 680 : 400,
        color: drifts ? 'warning.main' : 'text.secondary',
      }}
    >
      {drifts
        ? piece.drift === 'TOO_FAST'
          ? 'dries fast'
          : 'dries slowly'
        : `→ ${units.about(piece.expectedPullGrams ?? 0)}`}
    </Typography>
  );
}

function HungPiece({ piece, units }: { piece: PieceCard; units: Units }) {
  const { words, act } = state(piece);
  const now =
    neverWeighed(piece) && piece.expectedNowGrams != null
      ? `≈ ${units.about(piece.expectedNowGrams)}`
      : units.weight(piece.nowGrams);
  const name = `${piece.tag}, ${piece.cutName}, ${words}, ${now} now, ${gone(piece)}`;
  return (
    <Box component="li" sx={{ width: PLACE_WIDTH, height: PLACE_HEIGHT }}>
      <LinkedRow
        to={`/pieces/${piece.id}`}
        label={name}
        sx={{ display: 'flex', flexDirection: 'column', alignItems: 'center', pb: 0.5, borderRadius: 1 }}
      >
        <Box sx={{ width: 2, height: 14, bgcolor: act ? 'warning.main' : 'rail' }} />
        <SectionGlyph shape={piece.shape} section={piece.section} size={62} />
        <Typography sx={{ typography: 'h3', mt: 0.25 }}>{piece.tag}</Typography>
        <Typography
          variant="caption"
          sx={{
            lineHeight: 1.3,
            px: 0.5,
            whiteSpace: 'nowrap',
            borderRadius: 0.5,
            fontWeight: act ? 680 : 400,
            color: act ? 'warning.contrastText' : 'text.secondary',
            bgcolor: act ? 'warning.main' : 'transparent',
          }}
        >
          {words}
        </Typography>
        <Typography variant="caption" sx={{ lineHeight: 1.35, fontWeight: 600 }}>
          {now}
        </Typography>
        <Ahead piece={piece} units={units} />
      </LinkedRow>
    </Box>
  );
}
