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

/** What a way costs to begin with. Common practice, no source: a bag some 7, a sealer about 100, a tray 5, a cabinet thousands. */
export const firstWays = (units: Units): WayText[] => {
  const way = (
    method: Method,
    days: number,
    purchase: number,
    watts: number,
    atOnce: number,
    materials: number,
  ): WayText => ({
    method,
    days: String(days),
    purchase: units.moneyForField(units.minorOf(purchase)),
    life: '10',
    watts: String(watts),
    atOnce: String(atOnce),
    materials: units.moneyForField(units.minorOf(materials)),
  });
  return [
    way('MEMBRANE', 35, 100, 0, 2, 7),
    way('SALT_TRAY', 28, 5, 0, 2, 2),
    way('OPEN_AIR', 35, 3000, 90, 4, 0),
    way('VACUUM', 28, 100, 0, 4, 1),
  ];
};

export const firstWorth = (units: Units): WorthText => ({
  cutCode: 'ribeye',
  boneIn: false,
  weight: units.weightForField(5000),
  price: '',
  bought: '',
  pieces: '6',
  ways: firstWays(units),
});

/** What the server is asked; null while a field cannot be read or a price is missing. */
export function worthBody(text: WorthText, units: Units): Schema['WorthForm'] | null {
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
      cutCode: text.cutCode,
      boneIn: text.boneIn,
      fatCoverMm: 0,
      greenGrams,
      method: 'OPEN_AIR',
      coating: 'NONE',
      targetDays: 1,
      priceMinorPerKg: price,
      consumablesMinor: 0,
      steakMm: 30,
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
