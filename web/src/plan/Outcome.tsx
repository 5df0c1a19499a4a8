import { memo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCuts } from '../api/lots';
import type { Schema } from '../api/client';
import { Figure } from '../kit/Figure';
import { SectionGlyph } from '../kit/SectionGlyph';
import { percent, useUnits } from '../kit/units';
import { Told } from './Told';

type Forward = Schema['ForwardView'];

interface Props {
  forward: Forward;
  greenGrams: number;
  cutCode: string;
  /** Whether the meat has a price; without one there is no cost to speak of. */
  priced: boolean;
  /** A or B, where two are side by side. */
  letter?: string;
}

/** What a piece would be on its day: its picture, its ledger, its cost, its steaks. */
export const Outcome = memo(function Outcome({ forward, greenGrams, cutCode, priced, letter }: Props) {
  const units = useUnits();
  const shape = useCuts().data?.find((cut) => cut.code === cutCode)?.shape ?? 'EYE_WITH_CAP';
  const { target, section, steaks } = forward;
  const working = (name: string) => forward.workings.find((each) => each.name === name);
  return (
    <Box
      component="section"
      aria-label={letter ? `Way ${letter} on day ${target.day}` : `On day ${target.day}`}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 1.5 }}>
        <SectionGlyph shape={shape} section={section} size={84} />
        <Box>
          <Typography variant="h2" component="h3">
            {letter && `${letter}: `}
            {units.about(target.grams)} on day {target.day}
          </Typography>
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            {units.about(target.leastGrams)} to {units.about(target.mostGrams)} four times in five
            {target.style && `; ${target.style}`}
          </Typography>
        </Box>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fit, minmax(118px, 1fr))',
          columnGap: 2,
          rowGap: 1.5,
        }}
      >
        <Figure
          name="Shrink"
          note={`${percent(target.lostLeast)} to ${percent(target.lostMost)}`}
          working={working('80 % band')}
        >
          {percent(target.lost)}
        </Figure>
        <Figure
          name="Steak"
          note={`${percent(target.steakLeast)} to ${percent(target.steakMost)}`}
          working={working('Steak ahead')}
        >
          {units.about(target.steak * greenGrams)}
        </Figure>
        <Figure
          name="Crust and trim"
          note={target.crustMm > 0 ? `${units.thickness(target.crustMm)} deep` : undefined}
          working={working('Crust')}
        >
          {percent(target.crust)}
        </Figure>
        {priced && target.costPerKg != null && (
          <Figure
            name="Cost of the steak"
            note={forward.bestDay != null ? `best day ${forward.bestDay}` : undefined}
            working={working('Cost per kg steak ahead')}
          >
            {units.pricePer(target.costPerKg)}
          </Figure>
        )}
        {priced && target.marginalCost != null && (
          <Figure name="A day longer costs" working={working('One more day')}>
            {units.money(target.marginalCost)}
          </Figure>
        )}
        {target.tenderness != null && (
          <Figure name="Tenderness" note="of what ageing can give" working={working('Tenderness')}>
            {percent(target.tenderness)}
          </Figure>
        )}
        {steaks && (
          <Figure
            name={`Steaks of ${units.thickness(steaks.thicknessMm)}`}
            note={`${units.small(steaks.gramsEach)} each, ${units.small(steaks.leftOverGrams)} left over`}
          >
            {steaks.count}
          </Figure>
        )}
      </Box>
      {!priced && (
        <Typography variant="body2" sx={{ mt: 1.5, color: 'text.secondary' }}>
          Enter the price of the meat to see what the steak costs by day.
        </Typography>
      )}
      <Told forward={forward} />
    </Box>
  );
});
