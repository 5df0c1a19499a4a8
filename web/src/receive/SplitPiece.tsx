import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { chamberChoices, coatingChoices, methodChoices } from '../kit/choices';
import { fieldsOf } from '../kit/form/fields';
import { useGroup } from '../kit/form/group';
import { Caution } from '../kit/Notices';
import { readDays, readNumber, useUnits, type Units } from '../kit/units';

type NewPiece = Schema['NewPiece'];
type Method = Schema['MethodView'];

/** A piece as it is being typed. */
export interface PieceText {
  id: string;
  weight: string;
  /** SOAKED is treated for days before it hangs. */
  role: NewPiece['role'] | 'SOAKED';
  method: NonNullable<NewPiece['method']>;
  chamberId: string;
  days: string;
  coat: string;
  coating: NonNullable<NewPiece['coating']>;
  contact: string;
  consumables: string;
  /** How many like things hang as this one; '' for one. */
  count: string;
}

/** A piece as the server takes it. */
export function pieceBody(piece: PieceText, hungOn: string, units: Units): NewPiece {
  const base = {
    id: piece.id,
    role: piece.role === 'SOAKED' ? ('TREATED' as const) : piece.role,
    waits: piece.role === 'SOAKED',
    greenGrams: units.readWeight(piece.weight) ?? 0,
    coatGrams: 0,
    coating: 'NONE' as const,
    consumablesMinor: units.readMoney(piece.consumables) ?? 0,
    count: Math.round(readNumber(piece.count) ?? 1),
  };
  if (piece.role === 'FRESH') {
    return base;
  }
  if (piece.role === 'SOAKED') {
    return { ...base, method: piece.method, targetDays: Math.round(readDays(piece.days) ?? 0) };
  }
  return {
    ...base,
    method: piece.method,
    chamberId: piece.chamberId,
    hungOn,
    targetDays: Math.round(readDays(piece.days) ?? 0),
    coatGrams: units.readWeight(piece.coat) ?? 0,
    coating: piece.coating,
    contactPercent: piece.method === 'MEMBRANE' ? (readNumber(piece.contact) ?? undefined) : undefined,
  };
}

const Piece = fieldsOf<PieceText>();

/** What belongs to a piece stands beside its tag. */
const INDENT = { sm: '4.2rem' };

const roles: Record<PieceText['role'], string> = {
  PLAIN: 'plain',
  CONTROL: 'control',
  TREATED: 'treated',
  SOAKED: 'treated first, hung later',
  FRESH: 'fresh, to compare',
};

interface RowProps {
  tag: string;
  methods: Method[];
  chambers: Schema['ChamberForm'][];
  /** Has the keys as it appears. */
  begins: boolean;
  onRemove?: () => void;
}

/** One piece of the lot: how it is aged, where, for how long. */
export function SplitPiece({ tag, methods, chambers, begins, onRemove }: RowProps) {
  const units = useUnits();
  const { values: piece, change } = useGroup<PieceText>();
  const method = methods.find((each) => each.method === piece.method);
  const chamber = chambers.find((each) => each.id === piece.chamberId);
  const choose = (chosen: string) => {
    const next = methods.find((each) => each.method === chosen);
    if (next) {
      change({
        days: String(next.usualDays),
        consumables: next.usualConsumablesMinor > 0 ? units.moneyForField(next.usualConsumablesMinor) : '',
      });
    }
  };
  return (
    <Box
      component="fieldset"
      sx={{ border: 0, borderTop: '1px solid', borderColor: 'divider', p: 0, pt: 2, m: 0 }}
    >
      <Box component="legend" sx={{ position: 'absolute', left: -9999 }}>
        Piece {tag}
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 1.5,
          alignItems: 'flex-start',
          position: 'relative',
          pl: INDENT,
        }}
      >
        <Typography
          aria-hidden
          sx={{
            typography: 'h2',
            position: { sm: 'absolute' },
            left: 0,
            width: { xs: '100%', sm: '3.4rem' },
            pt: 1.25,
          }}
        >
          {tag}
        </Typography>
        <Box sx={{ width: 132 }}>
          <Piece.Weight
            name="weight"
            label="Weight"
            required="Each piece needs its weight."
            autoFocus={begins}
          />
        </Box>
        <Piece.Choice name="role" label="What it is for" choices={roles} sx={{ width: 158 }} />
        {piece.role !== 'FRESH' && (
          <>
            <Piece.Choice name="method" label="Method" onChanged={choose} sx={{ width: 144 }}>
              {methodChoices(methods)}
            </Piece.Choice>
            {piece.role !== 'SOAKED' && (
              <Piece.Choice name="chamberId" label="Chamber" sx={{ width: 156 }}>
                {chamberChoices(chambers)}
              </Piece.Choice>
            )}
            <Piece.Measure
              name="days"
              label="Target days"
              of="days"
              required="Each piece that hangs needs its days."
              sx={{ width: 98 }}
            />
            {piece.role !== 'SOAKED' && (
              <Box sx={{ width: 118 }}>
                <Piece.Weight
                  name="coat"
                  label="Coat on"
                  onChanged={(coat) =>
                    coat !== '' && piece.coating === 'NONE' && change({ coating: 'PASTE' })
                  }
                />
              </Box>
            )}
            {piece.coat !== '' && piece.role !== 'SOAKED' && (
              <Piece.Choice name="coating" label="Which coat" sx={{ width: 150 }}>
                {coatingChoices()}
              </Piece.Choice>
            )}
            {piece.method === 'MEMBRANE' && (
              <Piece.Measure
                name="contact"
                label="Film on meat"
                placeholder="85"
                of="percent"
                sx={{ width: 112 }}
              />
            )}
            <Piece.Measure name="consumables" label="Materials" of="money" sx={{ width: 132 }} />
            <Piece.Measure
              name="count"
              label="Like things"
              ariaLabel={`Like things hung as ${tag}`}
              of="number"
              placeholder="1"
              sx={{ width: 112 }}
            />
          </>
        )}
        {onRemove && (
          <Button color="inherit" onClick={onRemove} aria-label={`Remove piece ${tag}`} sx={{ mt: 0.75 }}>
            Remove
          </Button>
        )}
      </Box>
      <Box sx={{ pl: INDENT, pt: 1, display: 'grid', gap: 1 }}>
        {piece.role === 'FRESH' ? (
          <Typography variant="body2">
            Vacuum packed and frozen, to be tasted beside the aged ones.
          </Typography>
        ) : piece.role === 'SOAKED' ? (
          <Typography variant="body2">
            Soaked or treated for days in the cold; hang it from its own page when that is over.
          </Typography>
        ) : (
          <Typography variant="body2">{method?.surface}</Typography>
        )}
        {piece.role !== 'FRESH' && chamber?.kind === 'REFRIGERATOR' && piece.method === 'OPEN_AIR' && (
          <Caution of="HOUSEHOLD_REFRIGERATOR" />
        )}
        {piece.method === 'MEMBRANE' && piece.role !== 'FRESH' && <Caution of="SINGLE_USE" />}
      </Box>
    </Box>
  );
}
