import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useCuts, useLotAhead, useSection } from '../api/lots';
import { useDebouncedValue } from '../kit/debounced';
import { Caution, CautionText } from '../kit/Notices';
import { SectionGlyph } from '../kit/SectionGlyph';
import { days, useUnits } from '../kit/units';
import type { LotText } from './draft';

const TYPING_MS = 300;
const LEAST_GRAMS = 50;
const uncut = { now: 1, fat: 0, bone: 0, crust: 0, pockets: 0, steak: 1 };

/** A lot as it would look cut through, now and once it is aged, what it would give, and what to know about its kind. */
export function LotPicture({ text }: { text: LotText }) {
  const units = useUnits();
  const cut = useCuts().data?.find(({ code }) => code === text.cutCode);
  const asked: Schema['LotAheadForm'] = {
    cutCode: text.cutCode,
    greenGrams: units.readWeight(text.weight) ?? 0,
    fatCoverMm: units.readLength(text.fatCover) ?? 0,
    boneIn: text.boneIn,
    priceMinorPerKg: units.readPrice(text.price) ?? undefined,
    packedOn: text.packedOn || undefined,
  };
  const form = JSON.parse(useDebouncedValue(JSON.stringify(asked), TYPING_MS)) as Schema['LotAheadForm'];
  const { cutCode: code, greenGrams: grams, fatCoverMm, boneIn } = form;
  const section = useSection({ code, grams, fatCoverMm, boneIn });
  const known = code !== '' && grams >= LEAST_GRAMS;
  const ahead = useLotAhead(known ? form : null);
  const shown = known && !ahead.isError ? ahead.data : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      {cut ? (
        <Box sx={{ display: 'flex', justifyContent: 'space-evenly', gap: 2 }}>
          <Cut name="as it comes">
            <SectionGlyph shape={cut.shape} size={150} section={section.data ?? uncut} />
          </Cut>
          {shown && (
            <Cut name={`after ${days(shown.day)}`}>
              <SectionGlyph shape={cut.shape} size={150} section={shown.section} />
            </Cut>
          )}
        </Box>
      ) : (
        <Typography sx={{ color: 'text.secondary' }}>
          Choose the cut and weigh it: here stands what it will give, what that costs and where it has room.
        </Typography>
      )}
      <Box aria-live="polite" sx={{ display: 'grid', gap: 0.75 }}>
        {shown?.sentences.map((sentence, index) => (
          <Typography key={sentence} sx={{ fontWeight: index === 0 ? 620 : 400 }}>
            {sentence}
          </Typography>
        ))}
      </Box>
      <Caution of="HELD_COLD" />
      {cut?.cautions.map(({ caution, topic, sentence }) => (
        <CautionText key={caution} topic={topic}>
          {sentence}
        </CautionText>
      ))}
    </Box>
  );
}

function Cut({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <Box component="figure" sx={{ m: 0, display: 'grid', justifyItems: 'center' }}>
      {children}
      <Typography component="figcaption" sx={{ mt: 1, color: 'text.secondary' }}>
        {name}
      </Typography>
    </Box>
  );
}
