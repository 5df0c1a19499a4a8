import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCuts, useSection } from '../api/lots';
import { useDebouncedValue } from '../kit/debounced';
import { Caution, CautionText } from '../kit/Notices';
import { SectionGlyph } from '../kit/SectionGlyph';
import { useUnits } from '../kit/units';
import type { LotText } from './draft';

const TYPING_MS = 300;

/** A lot as it would look cut through, and what to know about its kind. */
export function LotPicture({ text }: { text: LotText }) {
  const units = useUnits();
  const cut = useCuts().data?.find(({ code }) => code === text.cutCode);
  const asked = JSON.stringify({
    code: text.cutCode,
    grams: units.readWeight(text.weight) ?? 0,
    fatCoverMm: units.readLength(text.fatCover) ?? 0,
    boneIn: text.boneIn,
  });
  const section = useSection(JSON.parse(useDebouncedValue(asked, TYPING_MS)));
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      {cut && (
        <Box sx={{ display: { xs: 'none', md: 'grid' }, placeItems: 'center' }}>
          <SectionGlyph
            shape={cut.shape}
            size={190}
            section={section.data ?? { now: 1, fat: 0, bone: 0, crust: 0, pockets: 0, steak: 1 }}
          />
          <Typography sx={{ mt: 1, textAlign: 'center' }}>{cut.name}</Typography>
        </Box>
      )}
      <Caution of="HELD_COLD" />
      {cut?.cautions.map(({ caution, topic, sentence }) => (
        <CautionText key={caution} topic={topic}>
          {sentence}
        </CautionText>
      ))}
    </Box>
  );
}
