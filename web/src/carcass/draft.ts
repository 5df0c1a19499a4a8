import dayjs from 'dayjs';
import type { Answers, Schema } from '../api/client';
import { readDays, type Units } from '../kit/units';

export type Animal = Schema['CarcassForm']['animal'];

/** An animal as it stands in the fields. */
export interface CarcassText {
  animal: Animal;
  tag: string;
  permit: string;
  killedAt: string;
  /** '' for the day it was killed. */
  hungOn: string;
  place: string;
  weight: string;
  /** Where it was not weighed. */
  size: NonNullable<Schema['CarcassForm']['size']>;
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
  bag: string;
  chamberId: string;
  days: string;
}

export const noAnimal: CarcassText = {
  animal: 'FALLOW_DEER',
  tag: '',
  permit: '',
  killedAt: '',
  hungOn: '',
  place: '',
  weight: '',
  size: 'MIDDLING',
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
  bag: '',
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
    hungOn: text.hungOn === '' ? undefined : text.hungOn,
    grams: units.readWeight(text.weight) ?? undefined,
    size: text.weight.trim() === '' ? text.size : undefined,
    weighed: text.weighed,
    skinOn: text.skinOn,
    wound: text.wound,
    cooledAt: at(text.cooledAt),
    meatCelsius: text.iced ? (units.readTemperature(text.meat) ?? undefined) : undefined,
    outsideCelsius: text.iced ? (units.readTemperature(text.outside) ?? undefined) : undefined,
    iceBagGrams: text.iced ? (units.readWeight(text.bag) ?? undefined) : undefined,
    test: text.test,
    supplier: text.supplier,
    priceMinorPerKg: units.readPrice(text.price) ?? undefined,
    method: text.iced ? 'ON_ICE' : 'OPEN_AIR',
    chamberId: text.chamberId,
    days: Math.round(readDays(text.days) ?? 0),
    answers,
  };
}

/** What is to be said before it can be taken in. */
export const missingOf = (text: CarcassText, units: Units): string[] => [
  ...(text.killedAt ? [] : ['when it was killed']),
  ...(text.weight.trim() === '' || units.readWeight(text.weight) ? [] : ['its weight']),
  ...(text.chamberId ? [] : ['where it goes']),
];

/** What the server calls these. */
export const carcassNames = {
  grams: 'weight',
  priceMinorPerKg: 'price',
  meatCelsius: 'meat',
  outsideCelsius: 'outside',
  iceBagGrams: 'bag',
};
