import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { useTallow } from '../api/stock';
import { Caution } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { MakeIt } from './MakeIt';

interface PotProps {
  packs: Schema['PackView'][];
  product: 'TALLOW' | 'JAR';
}

/** What goes into a pot or a jar, and what came out. */
export function Pot({ packs, product }: PotProps) {
  const fat = product === 'TALLOW';
  const units = useUnits();
  const [texts, setTexts] = useState<Record<string, string | null>>({});
  const textOf = (pack: Schema['PackView']) =>
    texts[pack.id] === undefined ? units.weightForField(pack.leftGrams) : texts[pack.id];
  const used = packs.flatMap((pack) => {
    const text = textOf(pack);
    const grams = text ? units.readWeight(text) : null;
    return grams ? [{ packId: pack.id, name: '', grams, priceMinorPerKg: 0 }] : [];
  });
  const grams = used.reduce((sum, each) => sum + each.grams, 0);
  const tallow = useTallow(fat ? grams : 0);
  if (packs.length === 0) {
    return (
      <Typography>
        {fat ? 'No fat is packed.' : 'No trim or fat is packed.'} At the bench it goes onto its own pile, and
        is packed from there.
      </Typography>
    );
  }
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 380px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Box
        component="section"
        aria-label={fat ? 'Into the pot' : 'Into the jar'}
        sx={{ display: 'grid', gap: 1.5 }}
      >
        {packs.map((pack) => (
          <Box
            key={pack.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: 'auto minmax(0, 1fr) 170px',
              gap: 1.5,
              alignItems: 'start',
            }}
          >
            <Checkbox
              checked={textOf(pack) !== null}
              onChange={(_, on) =>
                setTexts({ ...texts, [pack.id]: on ? units.weightForField(pack.leftGrams) : null })
              }
              slotProps={{ input: { 'aria-label': `Use pack ${pack.number}` } }}
            />
            <Typography sx={{ pt: 1.25 }}>
              Pack {pack.number}, {pack.contentLabel.toLowerCase()} of {pack.tag},{' '}
              {units.weight(pack.leftGrams)}
            </Typography>
            <WeightField
              size="small"
              label={`Of pack ${pack.number}`}
              text={textOf(pack) ?? ''}
              onText={(text) => setTexts({ ...texts, [pack.id]: text })}
            />
          </Box>
        ))}
        <Typography sx={{ fontSize: '1.25rem', fontWeight: 640 }} role="status">
          {units.weight(grams)} into the {fat ? 'pot' : 'jar'}
          {fat && tallow.data && `; some ${units.weight(tallow.data.grams)} of tallow is to be expected`}
        </Typography>
        {fat && <Caution of="HOT_FAT" />}
      </Box>
      <MakeIt
        product={product}
        sources={used}
        out={fat ? undefined : 'The jar weighs'}
        act={fat ? 'Keep the tallow' : 'Keep the jar'}
        onMade={() => undefined}
      />
    </Box>
  );
}
