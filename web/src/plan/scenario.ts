import type { Schema } from '../api/client';
import type { Units } from '../kit/units';

/** A piece somebody thinks of hanging, as it stands in the fields. */
export interface Scenario {
  cutCode: string;
  boneIn: boolean;
  steaksOnBone: boolean;
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
export const lastPaid = (cutCode: string, { lastPaid: paid }: Schema['FirstPlan'], units: Units): string =>
  priceText(paid[cutCode] ?? 0, units);

const priceText = (minorPerKg: number, units: Units): string =>
  minorPerKg > 0 ? units.priceForField(minorPerKg) : '';

/** What a plan begins with. */
export const firstScenario = ({ scenario }: Schema['FirstPlan'], units: Units): Scenario => ({
  cutCode: scenario.cutCode,
  boneIn: scenario.boneIn,
  steaksOnBone: scenario.steaksOnBone ?? false,
  fatCover: '',
  weight: units.weightForField(scenario.greenGrams),
  method: scenario.method,
  coating: scenario.coating,
  chamberId: scenario.chamberId ?? '',
  days: scenario.targetDays,
  celsius: null,
  humidity: null,
  speed: null,
  price: priceText(scenario.priceMinorPerKg, units),
  materials: '',
  steakMm: scenario.steakMm,
});

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
    steaksOnBone: scenario.boneIn && scenario.steaksOnBone,
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

/** What the server calls these. */
export const scenarioNames = (way: string) => ({
  cutCode: `${way}.cutCode`,
  greenGrams: `${way}.weight`,
  fatCoverMm: `${way}.fatCover`,
  priceMinorPerKg: `${way}.price`,
  consumablesMinor: `${way}.materials`,
  method: `${way}.method`,
  coating: `${way}.coating`,
  chamberId: `${way}.chamberId`,
});
