import dayjs from 'dayjs';
import type { Answers, Schema } from '../api/client';
import { readNumber, type Units } from '../kit/units';

export type Animal = Schema['CarcassForm']['animal'];

/** An animal as it stands in the fields. */
export interface CarcassText {
  animal: Animal;
  tag: string;
  permit: string;
  killedAt: string;
  place: string;
  weight: string;
  weighed: Schema['CarcassForm']['weighed'];
  skinOn: boolean;
  wound: string;
  cooledAt: string;
  meat: string;
  outside: string;
  test: Schema['CarcassForm']['test'];
  supplier: string;
  price: string;
  iced: boolean;
  chamberId: string;
  days: string;
}

export const noAnimal: CarcassText = {
  animal: 'FALLOW_DEER',
  tag: '',
  permit: '',
  killedAt: '',
  place: '',
  weight: '',
  weighed: 'FIELD_DRESSED',
  skinOn: true,
  wound: '',
  cooledAt: '',
  meat: '',
  outside: '',
  test: 'NOT_ASKED',
  supplier: '',
  price: '',
  iced: false,
  chamberId: '',
  days: '10',
};

const at = (text: string) => (text === '' ? undefined : dayjs(text).toISOString());

/** What the server takes; what the air and the meat have is only of use for ice. */
export function carcassBody(text: CarcassText, units: Units, answers: Answers): Schema['CarcassForm'] {
  return {
    animal: text.animal,
    tag: text.tag,
    permit: text.permit,
    killedAt: at(text.killedAt) ?? '',
    place: text.place,
    grams: units.readWeight(text.weight) ?? 0,
    weighed: text.weighed,
    skinOn: text.skinOn,
    wound: text.wound,
    cooledAt: at(text.cooledAt),
    meatCelsius: text.iced ? (units.readTemperature(text.meat) ?? undefined) : undefined,
    outsideCelsius: text.iced ? (units.readTemperature(text.outside) ?? undefined) : undefined,
    test: text.test,
    supplier: text.supplier,
    priceMinorPerKg: units.readPrice(text.price) ?? undefined,
    method: text.iced ? 'ON_ICE' : 'OPEN_AIR',
    chamberId: text.chamberId,
    days: Math.round(readNumber(text.days) ?? 0),
    answers,
  };
}

/** What is to be said before it can be taken in. */
export const missingOf = (text: CarcassText, units: Units): string[] => [
  ...(text.killedAt ? [] : ['when it was killed']),
  ...(units.readWeight(text.weight) ? [] : ['its weight']),
  ...(text.chamberId ? [] : ['where it goes']),
];

/** What the server calls these. */
export const carcassNames = {
  grams: 'weight',
  priceMinorPerKg: 'price',
  meatCelsius: 'meat',
  outsideCelsius: 'outside',
};
