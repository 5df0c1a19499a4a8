import Box from '@mui/material/Box';
import type { Schema } from '../api/client';
import { outlines, type Shape } from './outlines';
import { percent } from './units';

type Section = Schema['Section'];

interface Props {
  shape: Shape;
  section: Section;
  /** Height and width in px. */
  size: number;
  /** Read out instead of the picture; left out where a label beside it says the same. */
  title?: string;
}

/** A smaller share of the green weight is not worth a word. */
export const SHOWN = 0.0005;

/** In words what the picture shows. */
export function describeSection(section: Section): string {
  return (
    `Of the green weight ${percent(section.now)} is there now: ${percent(section.steak)} steak, ` +
    `${percent(section.crust)} crust and trim, ${percent(section.fat)} fat, ${percent(section.bone)} bone` +
    (section.pockets > SHOWN ? `, ${percent(section.pockets)} spoilt in pockets.` : '.')
  );
}

const about = ([x, y]: readonly [number, number], areaShare: number) => {
  const factor = Math.sqrt(Math.max(0, Math.min(1, areaShare)));
  return `translate(${x}px, ${y}px) scale(${factor}) translate(${-x}px, ${-y}px)`;
};

/**
 * A cut through the piece, computed from its numbers: the dashed outline is what was hung, the filled shape what it
 * weighs now; in it the fat cap above, the bone below, the crust and what spoilt in pockets as a rim and the steak to come as the core. Areas are
 * true: each layer is the outline scaled by the square root of its share of the one around it.
 */
export function SectionGlyph({ shape, section, size, title }: Props) {
  const outline = outlines[shape];
  const withoutFat = section.now - section.fat;
  const withoutBone = withoutFat - section.bone;
  const share = (part: number, whole: number) => (whole > 0 ? part / whole : 0);
  const layer = { transition: 'transform 600ms ease' };
  // Layers must be told apart without colour, but at 60 px a line would eat a thin layer.
  const line = {
    stroke: 'var(--mui-palette-background-default)',
    strokeWidth: size < 100 ? 0.4 : 1.25,
    vectorEffect: 'non-scaling-stroke',
  } as const;
  return (
    <Box
      component="svg"
      viewBox="0 0 100 100"
      role={title ? 'img' : undefined}
      aria-label={title}
      aria-hidden={title ? undefined : true}
      sx={{ width: size, height: size, display: 'block', flexShrink: 0, overflow: 'visible' }}
    >
      <path
        d={outline.ornament}
        fill="none"
        stroke="var(--mui-palette-rail)"
        strokeWidth={2.5}
        strokeLinecap="round"
      />
      <path
        d={outline.path}
        fill="none"
        stroke="var(--mui-palette-text-secondary)"
        strokeWidth={size < 40 ? 1 : 1.25}
        strokeDasharray="3 2.5"
        vectorEffect="non-scaling-stroke"
      />
      <g style={{ ...layer, transform: about(outline.centre, section.now) }}>
        <path d={outline.path} style={{ fill: 'var(--mui-palette-part-fat)', ...line }} />
        <g style={{ ...layer, transform: about(outline.low, share(withoutFat, section.now)) }}>
          <path d={outline.path} style={{ fill: 'var(--mui-palette-part-bone)', ...line }} />
          <g style={{ ...layer, transform: about(outline.high, share(withoutBone, withoutFat)) }}>
            <path d={outline.path} style={{ fill: 'var(--mui-palette-part-trim)', ...line }} />
            <g style={{ ...layer, transform: about(outline.centre, share(section.steak, withoutBone)) }}>
              <path d={outline.path} style={{ fill: 'var(--mui-palette-part-steak)', ...line }} />
            </g>
          </g>
        </g>
      </g>
    </Box>
  );
}
