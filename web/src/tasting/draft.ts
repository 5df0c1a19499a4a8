import type { Schema } from '../api/client';
import { newId } from '../kit/drafts';
import { readNumber, type Units } from '../kit/units';

export type Kind = Schema['TastingForm']['kind'];
type Attribute = Schema['Attribute'];

export interface SampleText {
  id: string;
  name: string;
  pieceId?: string;
  tag?: string;
  armId?: string;
  thickness: string;
  thawed: boolean;
}

export interface TasterText {
  id: string;
  tasterId?: string;
  name: string;
}

/** A tasting as it stands in the fields. */
export interface TastingText {
  question: string;
  kind: Kind;
  rounds: number;
  attributes: Attribute[];
  samples: SampleText[];
  tasters: TasterText[];
  trialId?: string;
  heat: Schema['TastingForm']['heat'];
  core: string;
  rest: string;
  seasoning: string;
}

/** Common practice: as thick as a steak is cut, to the core a dry-aged steak is judged at. */
const USUAL_MM = 30;
const USUAL_CORE = 55;

export const sample = (name: string, units: Units, more: Partial<SampleText> = {}): SampleText => ({
  id: newId(),
  name,
  thickness: units.lengthForField(USUAL_MM),
  thawed: false,
  ...more,
});

export const taster = (name: string, tasterId?: string): TasterText => ({ id: newId(), name, tasterId });

/** What a tasting begins with: of a trial its arms, the first cut piece of each. */
export function firstText(trial: Schema['TrialView'] | null, usual: Attribute[], units: Units): TastingText {
  const liking = usual.filter(({ key }) => key === 'liking');
  const samples =
    trial?.arms.map((arm) => {
      const piece = arm.pieces.find(({ card }) => card.state === 'CUT') ?? arm.pieces[0];
      return sample(arm.name, units, { armId: arm.id, pieceId: piece?.card.id, tag: piece?.card.tag });
    }) ?? ['', ''].map((name) => sample(name, units));
  return {
    question: trial?.question ?? '',
    kind: samples.length > 2 ? 'RANKING' : 'PAIRED',
    rounds: 1,
    attributes: liking,
    samples,
    tasters: [taster('')],
    trialId: trial?.id,
    heat: 'BATH',
    core: units.temperatureForField(USUAL_CORE),
    rest: '5',
    seasoning: '',
  };
}

/** What the server takes, as far as it can be read; names that are missing are stood in for. */
export function tastingBody(text: TastingText, units: Units): Schema['TastingForm'] {
  return {
    question: text.question.trim() === '' ? 'Not asked yet' : text.question,
    kind: text.kind,
    rounds: text.rounds,
    attributes: text.kind === 'TRIANGLE' ? [] : text.attributes,
    samples: text.samples.map((each, index) => ({
      id: each.id,
      name: each.name.trim() === '' ? `Sample ${index + 1}` : each.name,
      pieceId: each.pieceId,
      armId: each.armId,
      thicknessMm: Math.round(units.readLength(each.thickness) ?? 0),
      thawed: each.thawed,
    })),
    tasters: text.tasters
      .filter(({ name }) => name.trim() !== '')
      .map(({ id, tasterId, name }) => ({ id, tasterId, name })),
    trialId: text.trialId,
    heat: text.heat,
    coreCelsius: units.readTemperature(text.core) ?? 0,
    restMinutes: readNumber(text.rest) ?? 0,
    seasoning: text.seasoning,
  };
}

/** What is still missing, in a sentence. */
export function missing(text: TastingText): string | null {
  if (text.question.trim() === '') {
    return 'Put the question in words.';
  }
  if (text.samples.some(({ name }) => name.trim() === '')) {
    return 'Give every sample a name.';
  }
  return text.tasters.every(({ name }) => name.trim() === '') ? 'Say who tastes.' : null;
}

/** An attribute of one's own; its key follows from its name. */
export const ownAttribute = (label: string, low: string, high: string): Attribute => ({
  key: `own ${label.trim().toLowerCase()}`,
  label: label.trim(),
  low: low.trim(),
  high: high.trim(),
});
