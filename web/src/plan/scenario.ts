import type { Schema } from '../api/client';
import type { Units } from '../kit/units';

/** A piece somebody thinks of hanging, as it stands in the fields. */
export interface Scenario {
  cutCode: string;
  boneIn: boolean;
  fatCover: string;
  weight: string;
  method: Schema['ScenarioForm']['method'];
  coating: Schema['ScenarioForm']['coating'];
  chamberId: string;
  days: number;
  /** Air other than the chamber's; null where it is the chamber's own. */
  celsius: number | null;
  humidity: number | null;
  speed: number | null;
  price: string;
  materials: string;
  steakMm: number;
}

/** What was paid for a cut the last time, as it stands in a field. */
export function lastPaid(cutCode: string, lots: Schema['LotLine'][], units: Units): string {
  const last = lots.find((lot) => lot.cutCode === cutCode && lot.priceMinorPerKg > 0);
  return last ? units.priceForField(last.priceMinorPerKg) : '';
}

const FIRST_CUT = 'strip';

/** In a refrigerator a membrane, as most people do it the first time; else open air. */
export function firstScenario(
  units: Units,
  chamber: Schema['ChamberForm'] | undefined,
  lots: Schema['LotLine'][],
): Scenario {
  const refrigerator = !chamber || chamber.kind === 'REFRIGERATOR';
  return {
    cutCode: FIRST_CUT,
    boneIn: false,
    fatCover: '',
    weight: units.weightForField(5000),
    method: refrigerator ? 'MEMBRANE' : 'OPEN_AIR',
    coating: 'NONE',
    chamberId: chamber?.id ?? '',
    days: refrigerator ? 35 : 28,
    celsius: null,
    humidity: null,
    speed: null,
    price: lastPaid(FIRST_CUT, lots, units),
    materials: '',
    steakMm: 30,
  };
}

/** What the server is asked; null while a field cannot be read. */
export function scenarioBody(scenario: Scenario, units: Units): Schema['ScenarioForm'] | null {
  const greenGrams = units.readWeight(scenario.weight);
  const price = scenario.price.trim() === '' ? 0 : units.readPrice(scenario.price);
  const materials = scenario.materials.trim() === '' ? 0 : units.readMoney(scenario.materials);
  const fat = scenario.fatCover.trim() === '' ? 0 : units.readLength(scenario.fatCover);
  if (
    greenGrams === null ||
    price === null ||
    materials === null ||
    fat === null ||
    scenario.cutCode === ''
  ) {
    return null;
  }
  return {
    cutCode: scenario.cutCode,
    boneIn: scenario.boneIn,
    fatCoverMm: fat,
    greenGrams,
    method: scenario.method,
    coating: scenario.coating,
    chamberId: scenario.chamberId === '' ? undefined : scenario.chamberId,
    celsius: scenario.celsius ?? undefined,
    humidityPercent: scenario.humidity ?? undefined,
    metresPerSecond: scenario.speed ?? undefined,
    targetDays: scenario.days,
    priceMinorPerKg: price,
    consumablesMinor: materials,
    steakMm: scenario.steakMm,
  };
}
