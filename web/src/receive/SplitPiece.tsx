import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { chamberChoices, coatingChoices, methodChoices } from '../kit/choices';
import { Caution } from '../kit/Notices';
import { readNumber, useUnits, type Units } from '../kit/units';
import { WeightField } from '../kit/WeightField';

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
  };
  if (piece.role === 'FRESH') {
    return base;
  }
  if (piece.role === 'SOAKED') {
    return { ...base, method: piece.method, targetDays: Math.round(readNumber(piece.days) ?? 0) };
  }
  return {
    ...base,
    method: piece.method,
    chamberId: piece.chamberId,
    hungOn,
    targetDays: Math.round(readNumber(piece.days) ?? 0),
    coatGrams: units.readWeight(piece.coat) ?? 0,
    coating: piece.coating,
    contactPercent: piece.method === 'MEMBRANE' ? (readNumber(piece.contact) ?? undefined) : undefined,
  };
}

interface RowProps {
  tag: string;
  piece: PieceText;
  methods: Method[];
  chambers: Schema['ChamberForm'][];
  onChange: (part: Partial<PieceText>) => void;
  onRemove?: () => void;
}

/** One piece of the lot: how it is aged, where, for how long. */
export function SplitPiece({ tag, piece, methods, chambers, onChange, onRemove }: RowProps) {
  const units = useUnits();
  const method = methods.find((each) => each.method === piece.method);
  const chamber = chambers.find((each) => each.id === piece.chamberId);
  const choose = (next: Method | undefined) => {
    if (next) {
      onChange({
        method: next.method,
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
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
        <Typography aria-hidden sx={{ typography: 'h2', width: '3.4rem', pt: 1.25 }}>
          {tag}
        </Typography>
        <Box sx={{ width: 132 }}>
          <WeightField label="Weight" text={piece.weight} onText={(weight) => onChange({ weight })} />
        </Box>
        <TextField
          select
          label="What it is for"
          value={piece.role}
          onChange={(event) => onChange({ role: event.target.value as PieceText['role'] })}
          sx={{ width: 158 }}
        >
          <MenuItem value="PLAIN">plain</MenuItem>
          <MenuItem value="CONTROL">control</MenuItem>
          <MenuItem value="TREATED">treated</MenuItem>
          <MenuItem value="SOAKED">treated first, hung later</MenuItem>
          <MenuItem value="FRESH">fresh, to compare</MenuItem>
        </TextField>
        {piece.role !== 'FRESH' && (
          <>
            <TextField
              select
              label="Method"
              value={piece.method}
              onChange={(event) => choose(methods.find((each) => each.method === event.target.value))}
              sx={{ width: 144 }}
            >
              {methodChoices(methods)}
            </TextField>
            {piece.role !== 'SOAKED' && (
              <TextField
                select
                label="Chamber"
                value={piece.chamberId}
                onChange={(event) => onChange({ chamberId: event.target.value })}
                sx={{ width: 156 }}
              >
                {chamberChoices(chambers)}
              </TextField>
            )}
            <TextField
              label="Target days"
              value={piece.days}
              onChange={(event) => onChange({ days: event.target.value })}
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
              sx={{ width: 98 }}
            />
            {piece.role !== 'SOAKED' && (
              <Box sx={{ width: 118 }}>
                <WeightField
                  label="Coat on"
                  text={piece.coat}
                  onText={(coat) =>
                    onChange({
                      coat,
                      coating: coat !== '' && piece.coating === 'NONE' ? 'PASTE' : piece.coating,
                    })
                  }
                />
              </Box>
            )}
            {piece.coat !== '' && piece.role !== 'SOAKED' && (
              <TextField
                select
                label="Which coat"
                value={piece.coating}
                onChange={(event) => onChange({ coating: event.target.value as PieceText['coating'] })}
                sx={{ width: 150 }}
              >
                {coatingChoices()}
              </TextField>
            )}
            {piece.method === 'MEMBRANE' && (
              <TextField
                label="Film on meat"
                value={piece.contact}
                placeholder="85"
                onChange={(event) => onChange({ contact: event.target.value })}
                slotProps={{
                  htmlInput: { inputMode: 'numeric' },
                  inputLabel: { shrink: true },
                  input: { endAdornment: <InputAdornment position="end">%</InputAdornment> },
                }}
                sx={{ width: 112 }}
              />
            )}
            <TextField
              label="Materials"
              value={piece.consumables}
              onChange={(event) => onChange({ consumables: event.target.value })}
              slotProps={{
                htmlInput: { inputMode: 'decimal' },
                input: { endAdornment: <InputAdornment position="end">{units.currency}</InputAdornment> },
              }}
              sx={{ width: 132 }}
            />
          </>
        )}
        {onRemove && (
          <Button color="inherit" onClick={onRemove} aria-label={`Remove piece ${tag}`} sx={{ mt: 0.75 }}>
            Remove
          </Button>
        )}
      </Box>
      <Box sx={{ pl: { sm: '4.2rem' }, display: 'grid', gap: 1 }}>
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
