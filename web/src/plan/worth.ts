import type { Schema } from '../api/client';
import { readNumber, type Units } from '../kit/units';

type Method = Schema['WayForm']['method'];

/** A way of ageing as it stands in the fields. */
export interface WayText {
  method: Method;
  days: string;
  purchase: string;
  life: string;
  watts: string;
  atOnce: string;
  materials: string;
}

export interface WorthText {
  cutCode: string;
  boneIn: boolean;
  weight: string;
  price: string;
  bought: string;
  pieces: string;
  ways: WayText[];
}

/** What the question begins with. */
export const firstWorth = ({ piece, piecesAYear, ways }: Schema['WorthForm'], units: Units): WorthText => ({
  cutCode: piece.cutCode,
  boneIn: piece.boneIn,
  weight: units.weightForField(piece.greenGrams),
  price: piece.priceMinorPerKg > 0 ? units.priceForField(piece.priceMinorPerKg) : '',
  bought: '',
  pieces: String(piecesAYear),
  ways: ways.map((way) => ({
    method: way.method,
    days: String(way.days),
    purchase: units.moneyForField(way.purchaseMinor),
    life: String(way.lifeYears),
    watts: String(way.watts),
    atOnce: String(way.atOnce),
    materials: units.moneyForField(way.consumablesMinor),
  })),
});

/** What the server is asked; null while a field cannot be read or a price is missing. */
export function worthBody(
  text: WorthText,
  first: Schema['WorthForm'],
  units: Units,
): Schema['WorthForm'] | null {
  const greenGrams = units.readWeight(text.weight);
  const price = units.readPrice(text.price);
  const bought = units.readPrice(text.bought);
  const pieces = readNumber(text.pieces);
  const ways = text.ways.map((way) => wayBody(way, units));
  if (
    !greenGrams ||
    !price ||
    !bought ||
    !pieces ||
    text.cutCode === '' ||
    ways.some((way) => way === null)
  ) {
    return null;
  }
  return {
    piece: {
      ...first.piece,
      cutCode: text.cutCode,
      boneIn: text.boneIn,
      greenGrams,
      priceMinorPerKg: price,
    },
    piecesAYear: Math.round(pieces),
    boughtMinorPerKg: bought,
    ways: ways.filter((way) => way !== null),
  };
}

function wayBody(way: WayText, units: Units): Schema['WayForm'] | null {
  const days = readNumber(way.days);
  const purchaseMinor = units.readMoney(way.purchase || '0');
  const lifeYears = readNumber(way.life);
  const watts = readNumber(way.watts || '0');
  const atOnce = readNumber(way.atOnce);
  const consumablesMinor = units.readMoney(way.materials || '0');
  if (
    !days ||
    purchaseMinor === null ||
    !lifeYears ||
    watts === null ||
    !atOnce ||
    consumablesMinor === null
  ) {
    return null;
  }
  return {
    method: way.method,
    days: Math.round(days),
    purchaseMinor,
    lifeYears: Math.round(lifeYears),
    watts: Math.round(watts),
    atOnce: Math.round(atOnce),
    consumablesMinor,
  };
}

/** What the server calls these. */
export const worthNames = {
  'piece.greenGrams': 'weight',
  'piece.priceMinorPerKg': 'price',
  'piece.cutCode': 'cutCode',
  boughtMinorPerKg: 'bought',
  piecesAYear: 'pieces',
  'ways.*.purchaseMinor': 'ways.*.purchase',
  'ways.*.lifeYears': 'ways.*.life',
  'ways.*.consumablesMinor': 'ways.*.materials',
};
