import type { Schema } from '../api/client';
import { newId } from '../kit/drafts';
import { readDays, type Units } from '../kit/units';
import { firstOf } from '../treatment/draft';
import { giveBody, type Give } from '../treatment/give';

export type Factor = Schema['TrialForm']['factor'];
export type Measure = Schema['TrialForm']['measure'];
type SetUp = Schema['SetUp'];
type Kinds = Schema['TreatmentView'][];

/** What there is to choose from. */
export interface Known {
  kinds: Schema['TreatmentView'][];
  recipes: Schema['RecipeView'][];
  methods: Schema['MethodView'][];
  chambers: Schema['ChamberForm'][];
  factors: Schema['FactorView'][];
  measures: Schema['MeasureView'][];
  uncut: Schema['WorkView'][];
  today: string;
}

/** An arm as it stands in the fields. */
export interface ArmText {
  id: string;
  name: string;
  control: boolean;
  /** Set aside fresh: nothing of the rest is asked of it. */
  fresh: boolean;
  method: NonNullable<SetUp['method']>;
  chamberId: string;
  days: string;
  consumables: string;
  order: NonNullable<SetUp['benchOrder']> | '';
  /** Its treatments, in the order they are given; none for a plain arm. */
  gives: Give[];
  /** Ids and tags of pieces that are there. */
  pieces: { id: string; tag: string }[];
}

/** A trial as it stands in the fields. */
export interface TrialText {
  question: string;
  factor: Factor;
  /** What it is to be judged by. */
  measure: Measure;
  /** Whether what is not soaked waits for what is. */
  waitTogether: boolean;
  /** The lot to be split, LATER for one that has not come, or '' where the pieces are there. */
  lotId: string;
  hungOn: string;
  parts: string[];
  arms: ArmText[];
}

/** A lot that is still to be received. */
export const LATER = 'later';

/** The lot a draft is about, now that these are there to be split: one that was split since is none any more. */
export function lotNow(lotId: string, uncut: { subject: { id: string } }[]): string {
  const there = uncut.some((lot) => lot.subject.id === lotId);
  return lotId === '' || there ? lotId : (uncut[0]?.subject.id ?? LATER);
}

export const plainArm = (name: string, control: boolean, chamberId: string, gives: Give[]): ArmText => ({
  id: newId(),
  name,
  control,
  fresh: false,
  method: 'OPEN_AIR',
  chamberId,
  days: '28',
  consumables: '',
  order: '',
  gives,
  pieces: [],
});

/** The treatment an arm begins with. */
export function firstGive(kinds: Kinds): Give[] {
  const kind = kinds.find((each) => each.kind === 'SUGAR_COAT') ?? kinds[0];
  return kind ? [{ ...firstOf(kind), exactly: '', number: '' }] : [];
}

/**
 * An arm of a trial before, to begin the next with.
 *
 * @param choice which of the ways to do it next time; the first is as it was
 */
export function armOf(
  before: Schema['NextArm'],
  choice: number,
  kinds: Kinds,
  chamberId: string,
  units: Units,
): ArmText {
  const arm = plainArm(before.name, before.control, chamberId, []);
  const setUp = (before.choices[choice] ?? before.choices[0])?.setUp;
  if (!setUp) {
    return arm;
  }
  return {
    ...arm,
    fresh: setUp.fresh ?? false,
    method: setUp.method ?? arm.method,
    chamberId: setUp.chamberId ?? chamberId,
    days: setUp.targetDays == null ? arm.days : String(setUp.targetDays),
    consumables: setUp.consumablesMinor > 0 ? units.moneyForField(setUp.consumablesMinor) : '',
    order: setUp.benchOrder ?? '',
    gives: setUp.treatments.map((each) => giveOf(each, kinds)),
  };
}

function giveOf(form: Schema['TreatmentForm'], kinds: Kinds): Give {
  const kind = kinds.find((each) => each.kind === form.kind);
  return {
    ...(kind ? firstOf(kind) : { measure: 'GRAM', basis: 'KILOGRAM' }),
    kind: form.kind,
    recipeId: form.recipeId ?? '',
    exactly: form.exactly,
    amount: form.amount == null ? '' : String(form.amount),
    ...(form.measure && { measure: form.measure }),
    ...(form.basis && { basis: form.basis }),
    number: form.number == null ? '' : String(form.number),
    rawGarlicOrHerbs: form.rawGarlicOrHerbs,
    oil: form.oil,
    spirit: form.spirit,
  };
}

/** Whether the arms have a field's value apart, so that each must show its own. */
export const differ = (arms: ArmText[], value: (arm: ArmText) => string): boolean =>
  new Set(arms.map(value)).size > 1;

/** What the server takes. Words that are still missing are stood in for, so that the design can be judged early. */
export function trialBody(text: TrialText, units: Units): Schema['TrialForm'] {
  return {
    question: text.question.trim() === '' ? 'Not asked yet' : text.question,
    factor: text.factor,
    measure: text.measure,
    waitTogether: text.waitTogether,
    lotId: text.lotId === '' ? undefined : text.lotId,
    parts:
      text.lotId === ''
        ? []
        : text.parts.flatMap((part) => {
            const grams = units.readWeight(part);
            return grams === null || grams === 0 ? [] : [grams];
          }),
    hungOn: text.hungOn === '' ? undefined : text.hungOn,
    arms: text.arms.map((arm, index) => ({
      id: arm.id,
      name: arm.name.trim() === '' ? `Arm ${index + 1}` : arm.name,
      control: arm.control,
      setUp: text.lotId === '' ? undefined : setUpOf(arm, units),
      pieces: text.lotId === '' ? arm.pieces.map((piece) => piece.id) : [],
    })),
    answers: {},
  };
}

function setUpOf(arm: ArmText, units: Units): SetUp {
  return arm.fresh
    ? { fresh: true, consumablesMinor: 0, treatments: [] }
    : {
        fresh: false,
        method: arm.method,
        chamberId: arm.chamberId,
        targetDays: Math.max(1, Math.round(readDays(arm.days) ?? 1)),
        consumablesMinor: units.readMoney(arm.consumables) ?? 0,
        benchOrder: arm.order === '' ? undefined : arm.order,
        treatments: arm.gives.map((give) => ({ ...giveBody(give), coatGrams: 0, answers: {} })),
      };
}

/** What is missing before it can be set up that no single field shows; null where nothing is. */
export function missing(text: TrialText): string | null {
  if (text.lotId === '') {
    return text.arms.some((arm) => arm.pieces.length === 0) ? 'Give every arm a piece at least.' : null;
  }
  if (text.lotId === LATER) {
    return 'There is no lot to split. Receive one; what you set up waits here.';
  }
  return text.parts.length < text.arms.length ? 'Cut the lot into a part for every arm at least.' : null;
}
