import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { date, useUnits } from '../kit/units';

interface Props {
  packs: Schema['PackView'][];
  today: string;
  /** Whether the piece each came from is named. */
  withPiece?: boolean;
}

/** Packs in rows: what, how much of it is left, and until when. */
export function PackTable({ packs, withPiece = false }: Props) {
  const units = useUnits();
  return (
    <DataTable list label="Packs" sx={{ '& th, & td': { whiteSpace: 'nowrap' } }}>
      <thead>
        <tr>
          <th scope="col">No.</th>
          <th scope="col">What</th>
          <th scope="col">Left</th>
          {withPiece && <th scope="col">From</th>}
          <th scope="col">Kept</th>
          <th scope="col">Use by</th>
          <th scope="col">A {units.perWeightUnit}</th>
        </tr>
      </thead>
      <tbody>
        {packs.map((pack) => (
          <tr key={pack.id}>
            <th scope="row">
              <MuiLink component={Link} to={`/packs/${pack.id}`}>
                {pack.number}
              </MuiLink>
            </th>
            <td>
              {pack.name ?? pack.contentLabel}
              {pack.toClean && ', to clean when thawed'}
            </td>
            <Box component="td" sx={{ fontWeight: 640 }}>
              {pack.leftGrams === 0 ? 'gone' : units.weight(pack.leftGrams)}
              {pack.leftGrams > 0 && pack.leftGrams < pack.grams && ` of ${units.weight(pack.grams)}`}
            </Box>
            {withPiece && (
              <td>
                {pack.tag} {pack.pieceId && pack.cutName}
                {pack.agedDays != null && `, ${pack.agedDays} days`}
              </td>
            )}
            <Box component="td" sx={{ whiteSpace: 'normal !important', minWidth: 200 }}>
              {pack.wrapLabel}, {pack.keepingLabel}
              {pack.place && `, ${pack.place}`}, since {date(pack.packedOn)}
            </Box>
            <UseBy pack={pack} />
            <td>{pack.pricePerKg == null ? '' : units.pricePer(pack.pricePerKg)}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

const SOON_DAYS = 3;

function UseBy({ pack }: { pack: Schema['PackView'] }) {
  const { useBy, daysLeft, leftGrams } = pack;
  if (useBy == null || daysLeft == null) {
    return <td>no rule</td>;
  }
  const urgent = leftGrams > 0 && daysLeft <= SOON_DAYS;
  return (
    <Box component="td" sx={{ color: urgent ? 'warning.main' : 'inherit', fontWeight: urgent ? 640 : 400 }}>
      {date(useBy)}
      {leftGrams > 0 && daysLeft < 0 && ', past your rule'}
    </Box>
  );
}
