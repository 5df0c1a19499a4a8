/** Arms are told apart by colour, by the stroke of their curve and by the shape of their marks. */
const colours = [
  'var(--mui-palette-text-primary)',
  'var(--mui-palette-secondary-main)',
  'var(--mui-palette-primary-main)',
  'var(--mui-palette-part-trim)',
  'var(--mui-palette-warning-main)',
  'var(--mui-palette-rail)',
];

export const armColour = (index: number): string => colours[index % colours.length] ?? 'currentColor';
