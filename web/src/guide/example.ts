/**
 * A striploin from buying to expected yield, worked by hand. The figures are those of `WorkedExampleTest` in core, which
 * holds them against the model; change both together.
 */
export const workedExample: { step: string; byHand: string; elvaro: string }[] = [
  {
    step: 'Bought: a boneless striploin of 6 kg at 22.00 a kg, hung in open air at 2 °C, 80 % humidity, 0.5 m/s',
    byHand: '132.00',
    elvaro: '132.00',
  },
  { step: 'Its surface: 6.5 · (6/1060)^⅔', byHand: '0.2065 m²', elvaro: '0.2065 m²' },
  {
    step: 'What draws the water: (0.99 − 0.80) · 705.5 Pa, the vapour pressure at 2 °C',
    byHand: '134.0 Pa',
    elvaro: '134.0 Pa',
  },
  { step: 'What holds it: 478.1 of the air, 200 of the surface', byHand: '678.1', elvaro: '678.1' },
  {
    step: 'Water lost after 28 days: (−678.1 + √(678.1² + 2 · 100 · 134.0 · 28))/100 = 4.22 kg/m², times the surface',
    byHand: '0.871 kg, 14.5 %',
    elvaro: '0.871 kg, 14.5 %',
  },
  { step: 'Crust: 2 mm + 4.22 mm', byHand: '6.2 mm', elvaro: '6.2 mm' },
  {
    step: 'Cut away with a knife margin of 0.5 mm: a box of its weight and surface is 131.9 × 131.9 × 325.3 mm; 6.72 mm off every side leave 4.377 l, 4.640 kg',
    byHand: '1.360 kg',
    elvaro: '1.360 kg',
  },
  { step: 'Steak: 6 − 0.871 − 1.360', byHand: '3.769 kg, 62.8 %', elvaro: '3.769 kg, 62.8 %' },
  {
    step: 'Cost of the steak, half of the trim ground at 9.00 a kg: (132.00 − 6.12)/3.769',
    byHand: '33.40 a kg',
    elvaro: '33.40 a kg',
  },
  { step: 'Tenderness: 1 − e^(−0.187 · 28)', byHand: '99.5 %', elvaro: '99.5 %' },
];

/** What the forecast does, in sentences. */
export const forecastWorking: [string, string][] = [
  [
    'Drying',
    'Water leaves through the film of air, the surface, membrane and coat, and a crust that grows with what has left. Drier, warmer, faster air hastens it; fat, bone, size, damp slow it.',
  ],
  [
    'Learning',
    'Two numbers are not known before a piece is weighed: how much the whole resists, and how much the crust does. Each weighing narrows both. Finished pieces of the same method and chamber are where the next one starts.',
  ],
  ['Band', 'Four weighings in five lie in it. It is wide where little is known and says what it rests on.'],
  [
    'A surprising weight',
    'One more than two and a half standard deviations from its forecast is asked about: tared, wet, the right piece? It is kept either way.',
  ],
  [
    'Drift',
    'Several weighings that all lie to one side of what the earlier ones led to expect: a seal that opened, a fan that stopped, air that changed.',
  ],
  [
    'Tenderness',
    '1 − exp(−∫k dt): 80 % of the gain after 9.5 days at ⟦temperature 1⟧ for beef, 7.7 for lamb, 4.2 for pork.',
  ],
  [
    'Days at ⟦temperature 0⟧',
    '∫(1 + 0.1 T)² dt, T in °C: a day at ⟦temperature 5⟧ counts for 2.25, one at ⟦temperature 10⟧ for 4.',
  ],
  [
    'A day longer costs',
    'the steak it takes, at what steak is worth on that day, and the chamber and its energy',
  ],
  [
    'Enough four times in five',
    'a purchase is reckoned at the yield that four pieces in five reach, all pieces of it at once',
  ],
];
