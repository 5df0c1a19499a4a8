import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import MuiLink from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Link, useSearchParams } from 'react-router';
import type { PieceCard } from '../api/client';
import { readAsk } from '../api/ask';
import { useComparison, useEvidence, useTrackRecord } from '../api/compare';
import { useCutPieces } from '../api/pieces';
import { Later } from '../kit/Later';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { SectionGlyph } from '../kit/SectionGlyph';
import { agedWords } from '../kit/words';
import { Evidence } from './Evidence';
import { LedgerColumns } from './LedgerColumns';
import { TrackRecord } from './TrackRecord';
import { WhereItWent } from './WhereItWent';

const MOST = 8;

const describe = (piece: PieceCard) => [piece.tag, piece.cutName, ...agedWords(piece)].join(', ');

/** Which piece gave most, and why. */
export default function ComparePage() {
  const [search, setSearch] = useSearchParams();
  const cut = useCutPieces();
  const asked = search.get('p')?.split(',').filter(Boolean) ?? [];
  const comparison = useComparison(asked);
  if (!cut.data) {
    return <Waiting failure={cut.error} />;
  }
  const known = cut.data;
  const chosen = asked.flatMap((id) => known.filter((piece) => piece.id === id));
  const choose = (pieces: PieceCard[]) =>
    setSearch(pieces.length ? { p: pieces.map((piece) => piece.id).join(',') } : {}, { replace: true });
  return (
    <Page
      title="Compare"
      aside={
        <Box component="span" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3 }}>
          <MuiLink component={Link} to="/worth" sx={{ color: 'secondary.main' }}>
            Is ageing worth it?
          </MuiLink>
          <MuiLink component={Link} to="/exchange" sx={{ color: 'secondary.main' }}>
            Export and import
          </MuiLink>
        </Box>
      }
    >
      <Autocomplete
        multiple
        disableCloseOnSelect
        options={known}
        value={chosen}
        onChange={(_, pieces) => choose(pieces.slice(0, MOST))}
        getOptionLabel={describe}
        getOptionDisabled={() => chosen.length >= MOST}
        isOptionEqualToValue={(one, other) => one.id === other.id}
        renderValue={(pieces, itemProps) =>
          pieces.map((piece, index) => {
            const { key, ...props } = itemProps({ index });
            return <Chip key={key} {...props} label={`${piece.tag} ${piece.cutName}`} variant="outlined" />;
          })
        }
        renderOption={(props, piece) => (
          <Box component="li" {...props} key={piece.id} sx={{ gap: 1.5 }}>
            <SectionGlyph shape={piece.shape} section={piece.section} size={30} />
            {describe(piece)}
          </Box>
        )}
        renderInput={(params) => (
          <TextField {...params} label="Lay two to eight finished pieces side by side" />
        )}
        sx={{ maxWidth: 900, mb: 4 }}
      />
      <ProblemNotice failure={comparison.error} />
      {chosen.length < 2 && <AllOfThem known={known} onChoose={choose} />}
      {chosen.length >= 2 && comparison.data && (
        <Box sx={{ display: 'grid', gap: 4 }}>
          <WhereItWent columns={comparison.data.columns} />
          <Box component="section" aria-labelledby="reasons">
            <Typography id="reasons" variant="h2" sx={{ mb: 1 }}>
              What made the difference
            </Typography>
            {comparison.data.marks.length === 0 && <Typography>By every measure they agree.</Typography>}
            {comparison.data.marks.map((mark) => (
              <Typography key={mark.measure} sx={{ py: 0.25 }}>
                {mark.reason}
              </Typography>
            ))}
          </Box>
          <LedgerColumns comparison={comparison.data} />
        </Box>
      )}
    </Page>
  );
}

interface AllProps {
  known: PieceCard[];
  onChoose: (pieces: PieceCard[]) => void;
}

/** What all finished pieces say together. It comes at once: nothing pushes down what is already being read. */
function AllOfThem({ known, onChoose }: AllProps) {
  const [search] = useSearchParams();
  const evidence = useEvidence(readAsk(search));
  const record = useTrackRecord();
  if (evidence.isLoading || record.isLoading) {
    return <Waiting />;
  }
  return (
    <Box sx={{ display: 'grid', gap: 5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Evidence />
      <Later>
        <TrackRecord />
        <Suggestions known={known} onChoose={onChoose} />
      </Later>
    </Box>
  );
}

/** Pieces cut from one lot are twins: the fairest comparison there is. */
function Suggestions({ known, onChoose }: AllProps) {
  const byLot = new Map<string, PieceCard[]>();
  known.forEach((piece) => byLot.set(piece.lotId, [...(byLot.get(piece.lotId) ?? []), piece]));
  const twins = [...byLot.values()].filter((pieces) => pieces.length > 1).slice(0, 12);
  if (twins.length === 0) {
    return <Typography>Once two pieces are cut, they can be laid side by side here.</Typography>;
  }
  return (
    <Box component="section" aria-labelledby="twins">
      <Typography id="twins" variant="h2" sx={{ mb: 1 }}>
        Pieces of one lot, the fairest to compare
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(min(330px, 100%), 1fr))',
          columnGap: 3,
        }}
      >
        {twins.map((pieces) => (
          <Box
            key={pieces[0]?.lotId}
            component="button"
            type="button"
            onClick={() => onChoose(pieces)}
            sx={{
              font: 'inherit',
              color: 'inherit',
              background: 'none',
              border: 0,
              borderTop: '1px solid',
              borderColor: 'divider',
              display: 'flex',
              alignItems: 'center',
              gap: 1.5,
              py: 1.25,
              textAlign: 'left',
              cursor: 'pointer',
              '&:hover': { bgcolor: 'background.paper' },
            }}
          >
            {pieces.map((piece) => (
              <SectionGlyph key={piece.id} shape={piece.shape} section={piece.section} size={48} />
            ))}
            <span>
              <strong>{pieces.map((piece) => piece.tag).join(' and ')}</strong> {pieces[0]?.cutName},{' '}
              {[...new Set(pieces.map((piece) => piece.methodLabel?.toLowerCase()))].join(' against ')}
            </span>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
