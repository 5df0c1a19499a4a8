/** The ledger's symbols and formulas. */
export const ledgerWorking: [string, string][] = [
  ['Green weight G', 'what was hung, on day 0'],
  ['Taken early W', 'slices taken before the pull, and bad parts cut away; these count as discard'],
  ['Aged weight A', 'weight at the pull, without coat or seal'],
  ['Shrink', 'S = G − W − A, as a share S / G: water'],
  ['Steak yield', 'P / G: steaks and roasts'],
  ['Usable yield', '(P + U + F) / G: with usable trim U and rendering fat F'],
  ['Trim', '(U + F + B + D) / G: with bone B and discard D'],
  [
    'Balance',
    'E = A − (P + U + F + B + D). Asked about above the larger of two scale divisions for each weighing and 1 % of A; above 3 % a reason is needed.',
  ],
  [
    'Crust in the picture',
    '⟦length 2⟧ and ⟦length 1⟧ for every kg of water lost per m² of surface, 0.7 of it under a membrane; an estimate until the bench has weighed it',
  ],
  [
    'Landed cost',
    'G at its price, bag or salt, share of the chamber written off over its life, share of its energy, labour',
  ],
  ['Chamber share', 'the piece’s weight over the mean load that hung beside it'],
  [
    'Cost of the steak',
    '(landed cost − trim, fat and bone at their worth) / P: the price at which it breaks even',
  ],
  ['Price for a margin m', 'cost / (1 − m)'],
];

/** What happens at the bench and in the freezer, and how it is worked out. */
export const benchWorking: [string, string][] = [
  [
    'Smell first',
    'What is seen and smelled when a piece is opened is answered by the rules of looking. A bag that is faintly acid rests unwrapped in the cold for a day and is smelled again.',
  ],
  [
    'Wrap and string',
    'Weighed with them at the pull and without them at the bench: the difference is theirs, and the aged weight is the bare one.',
  ],
  [
    'How to cut',
    'Lean trim = (crust + knife margin) over all lean faces. Slice first takes ⟦length 0.5⟧ beside the crust, trim first ⟦length 2⟧; a little crust left is ⟦length 1⟧ less, more than the crust ⟦length 1.5⟧ more. Estimates, until the shop’s own benches say otherwise.',
  ],
  [
    'Steaks',
    'Length after trimming over thickness and saw kerf, less both ends. Without a length it follows from the weight and the class of the cut.',
  ],
  [
    'Crust and knife',
    'Depth cut = usable trim and discard over lean faces. What it is more than the crust, as measured at a cut face or by the drying law, the knife took of good meat. Means are drawn towards the estimates while benches are few; the band holds the next piece four times in five.',
  ],
  [
    'Blend',
    'The cheapest mix by linear programming within lean share, crust and aged fat; two stocks come out as in Pearson’s square. Where it cannot be mixed, what is in the way is named.',
  ],
  [
    'Grind and tallow',
    'What went in leaves its packs; what came out is a lot of its own, at the cost of all that went in. Some 0.72 of fat comes out as tallow, an estimate. It is called back with the lots behind it.',
  ],
];

/** What an animal gives, and how it is broken down. */
export const gameWorking: [string, string][] = [
  [
    'Meat ahead',
    'Field-dressed / 1.331 is the carcass, × 0.67 boneless after an ideal shot, × 0.70 as it usually comes out, ± 10 %. Extension bulletins, from memory. Birds 0.46 and fish 0.62 of what is weighed: estimates.',
  ],
  [
    'Ice',
    'Each day 0.5 W/K through the walls over 334 kJ/kg; once the heat of the meat, 3.5 kJ/kg K. Laid in: the weight of the meat and what its heat melts. Drained and topped up before half of it is gone; its tasks follow when the weather is said anew.',
  ],
  [
    'Cold to the core',
    'Large game at ⟦temperature 7⟧, small game and fish at ⟦temperature 4⟧ (Regulation (EC) 853/2004, from memory). Between two readings, and on from them, the difference to the air falls by the same share in the same time. More than a day is too long: an estimate.',
  ],
  [
    'Its hide',
    'Left on, it slows the drying by 600 Pa d m²/kg, an estimate. Taken off while it hangs it is weighed, and is no water lost.',
  ],
  [
    'Saw or seams',
    'Sawn, saddle, ribs and shanks keep their bone, 28 % of them, and lose 1 % as dust; of a muscle frozen whole 12 % comes off later: estimates. The spine is not sawn before a disease test is clear.',
  ],
  [
    'Parts',
    'Each part is weighed as it comes off and becomes a piece: to the bench, or hung further. They add up to the animal as the piles of a bench do. Boneless meat costs the animal’s price, less what is yet to cut.',
  ],
  ['Held back', 'While a disease test is awaited, nothing of the animal is packed, sold or shared.'],
];

/** What all finished pieces say together. */
export const compareWorking: [string, string][] = [
  [
    'Weights of before',
    'A table kept before Elvaro counts like what was weighed here: 4,5 kg, 9.9 lb and 9 lb 14 oz are understood, and a day by the order the table has. What lies on no pile must be said to be something, or the piece does not come in.',
  ],
  [
    'At the same days and size',
    'A linear model by least squares: the group, the days hung and the logarithm of the green weight. The largest group is what the others are held against. Of the cost the logarithm is taken, so that an effect is a ratio. The table can be read and carried away; R’s lm prints the same.',
  ],
  [
    'What it cannot say',
    'Nobody drew lots for these pieces: what else differs between the groups is in the figure too. Fewer than three pieces are an anecdote. Where groups hung for days of their own, group and days cannot be told apart. A trial tells.',
  ],
  [
    'Curve of a group',
    'The law of drying through a growing crust, t = a·w + b·w², through four pieces or more.',
  ],
  [
    'Taste against cost',
    'A piece is beaten where another is liked at least as much and costs no more, and is better in one of the two. Only pieces that met, or met the same, are held against each other.',
  ],
];

/** How a tasting is set and judged. */
export const tastingWorking: [string, string][] = [
  [
    'Codes and order',
    'Three digits, drawn from a seed that is kept, new ones for every round. Orders by Williams: each sample stands in each place, and follows each other one, equally often.',
  ],
  [
    'What a panel can show',
    'Exact chances. Five tasters or fewer cannot show a preference, whatever they say; six who all agree can. The numbers said to be needed show an effect four times in five.',
  ],
  [
    'Which is liked more',
    'The exact two-sided binomial test; P(better) is how likely most people would like it more, if nothing was known before. A taster has one voice, however many rounds. Roessler and others 1978.',
  ],
  ['The odd one of three', 'Guessing finds a third. Each round is a try of its own. ISO 4120.'],
  [
    'Three to six in order',
    'Friedman’s test, by all permutations while the panel is small, else by χ². Pairs by who put which first, raised by Holm for their number.',
  ],
  [
    'Scores',
    'Wilcoxon’s signed ranks, exact up to 25 tasters; the shift and its interval by Hodges and Lehmann. Liking is tested by itself, the rest share the chance of being fooled.',
  ],
  [
    'What is liked over all tastings',
    'Bradley and Terry’s strengths, drawn a little towards even, with what holds four times in five. Only what met at a table, or met the same, is compared.',
  ],
  [
    'Cooked alike',
    'A slab in a stirred bath by Fourier’s series, until the core is within half a degree (Celsius) of the bath, from ⟦temperature 4⟧. Over open heat only a thermometer tells. Cores more than ⟦warmth 2⟧ apart weaken a tasting.',
  ],
];

/** How a trial is drawn and judged. */
export const trialWorking: [string, string][] = [
  [
    'The draw',
    'The parts of a lot lie side by side in blocks, each with every arm once; within a block chance decides, from a seed that is kept.',
  ],
  [
    'A fair design',
    'The same animals, start, days, chamber and cut in every arm, weights within 15 %, a control, and one thing changed.',
  ],
  [
    'Shown, leaning, not shown',
    'Where two blocks or more hold both arms, their differences are put to Student’s t, else Welch’s. Shown: the 95 % interval leaves out zero. Leaning: the 80 % interval does. Not shown is not the same as none.',
  ],
  [
    'An anecdote',
    'One piece in an arm: two pieces of one animal differ by themselves, and nobody knows how far.',
  ],
  [
    'What a shop learns',
    'All fair trials of a treatment together (random effects), drawn towards zero while they are few: one pair hardly moves it.',
  ],
];

/** How a device is made to speak; the whole of it stands in devices/README.md. */
export const devices: [string, string][] = [
  [
    'Token',
    'An owner adds the device in Settings and gives it the token that is shown once. It goes with every request: Authorization: Bearer …',
  ],
  [
    'A probe',
    'POST /devices/readings with SenML in JSON (RFC 8428): [{"n":"temperature","u":"Cel","v":2.1},{"n":"humidity","u":"%RH","v":81}]. Units Cel, K, degF, %RH, m/s; JSON or CBOR. Keep a pack until the answer is 200 and send it again otherwise; nothing is stored twice.',
  ],
  [
    'A scale',
    'POST /devices/weights: [{"n":"scale","u":"kg","v":4.215}], five times a second while it moves, once a second at rest. The answer is 204. An old figure is not sent again.',
  ],
  [
    'A logger',
    'Its file, any table it writes as text, is taken in at the chamber. What it would bring is shown first: its readings, their span, its gaps. What was guessed of its columns, days and clock can be said otherwise there.',
  ],
];
