import type { Schema } from '../api/client';
import { newId } from '../kit/drafts';
import { readNumber, type Units } from '../kit/units';

export type Kind = Schema['TastingForm']['kind'];
type Attribute = Schema['Attribute'];

export type Finish = First['samples'][number]['finish'];

/** What may be put on a sample at the table. */
export const finishWords: Record<Finish, string> = {
  NOTHING: 'nothing',
  BUTTER: 'flavour butter',
  SAUCE: 'sauce',
  SALT: 'finishing salt',
  OTHER: 'something else',
};

export interface SampleText {
  id: string;
  name: string;
  pieceId?: string;
  tag?: string;
  armId?: string;
  thickness: string;
  thawed: boolean;
  finish: Finish;
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
  fire: string;
  start: string;
  rest: string;
  seasoning: string;
}

type First = Schema['FirstTasting'];

/** A sample as the first one is, another in its place. */
export const sample = (like: First['samples'][number], units: Units): SampleText => ({
  id: newId(),
  name: like.name,
  pieceId: like.pieceId,
  tag: like.tag,
  armId: like.armId,
  thickness: units.lengthForField(like.thicknessMm),
  thawed: like.thawed,
  finish: like.finish,
});

export const taster = (name: string, tasterId?: string): TasterText => ({ id: newId(), name, tasterId });

/** What a tasting begins with. */
export const firstText = (first: First, units: Units): TastingText => ({
  question: first.question,
  kind: first.kind,
  rounds: first.rounds,
  attributes: first.attributes,
  samples: first.samples.map((each) => sample(each, units)),
  tasters: [taster('')],
  trialId: first.trialId,
  heat: first.heat,
  core: units.temperatureForField(first.coreCelsius),
  fire: '',
  start: '',
  rest: String(first.restMinutes),
  seasoning: '',
});

/** What the server takes, as far as it can be read; names that are missing are stood in for. */
export function tastingBody(text: TastingText, units: Units): Schema['TastingForm'] {
  return {
    question: text.question.trim() === '' ? 'Not asked yet' : text.question,
    kind: text.kind,
    rounds: Number(text.rounds),
    attributes: text.kind === 'TRIANGLE' ? [] : text.attributes,
    samples: text.samples.map((each, index) => ({
      id: each.id,
      name: each.name.trim() === '' ? `Sample ${index + 1}` : each.name,
      pieceId: each.pieceId,
      finish: each.finish,
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
    fireCelsius: text.heat === 'BATH' ? undefined : (units.readTemperature(text.fire) ?? undefined),
    startCelsius: units.readTemperature(text.start) ?? undefined,
    restMinutes: readNumber(text.rest) ?? 0,
    seasoning: text.seasoning,
  };
}

/** What the server calls these. */
export const tastingNames = {
  'samples.*.thicknessMm': 'samples.*.thickness',
  coreCelsius: 'core',
  fireCelsius: 'fire',
  startCelsius: 'start',
  restMinutes: 'rest',
};

/** An attribute of one's own; its key follows from its name. */
export const ownAttribute = (label: string, low: string, high: string): Attribute => ({
  key: `own ${label.trim().toLowerCase()}`,
  label: label.trim(),
  low: low.trim(),
  high: high.trim(),
});
