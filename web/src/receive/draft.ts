import type { Answers, Schema } from '../api/client';
import { newId } from '../kit/drafts';
import type { Units } from '../kit/units';

/** A lot as it stands in the fields. */
export interface LotText {
  id: string;
  version: number;
  cutCode: string;
  grade: string;
  boneIn: boolean;
  fatCover: string;
  weight: string;
  price: string;
  supplier: string;
  packedOn: string;
  receivedOn: string;
  temperature: string;
  sourceTag: string;
  note: string;
  /** Scanned off the boxes, in that order. */
  codes: string[];
  /** The seller's, as the boxes say. */
  article: string;
}

export const noLot = (today: string): LotText => ({
  id: newId(),
  version: 0,
  cutCode: '',
  grade: '',
  boneIn: false,
  fatCover: '',
  weight: '',
  price: '',
  supplier: '',
  packedOn: '',
  receivedOn: today,
  temperature: '',
  sourceTag: '',
  note: '',
  codes: [],
  article: '',
});

export const lotText = (form: Schema['LotForm'], units: Units): LotText => ({
  id: form.id,
  version: form.version,
  cutCode: form.cutCode,
  grade: form.grade,
  boneIn: form.boneIn,
  fatCover: form.fatCoverMm === 0 ? '' : units.lengthForField(form.fatCoverMm),
  weight: units.weightForField(form.receivedGrams),
  price: form.priceMinorPerKg == null ? '' : units.priceForField(form.priceMinorPerKg),
  supplier: form.supplier,
  packedOn: form.packedOn ?? '',
  receivedOn: form.receivedOn,
  temperature: form.arrivalCelsius == null ? '' : units.temperatureForField(form.arrivalCelsius),
  sourceTag: form.sourceTag,
  note: form.note,
  codes: [],
  article: '',
});

export const lotBody = (text: LotText, units: Units, answers: Answers): Schema['LotForm'] => ({
  id: text.id,
  version: text.version,
  cutCode: text.cutCode,
  grade: text.grade,
  boneIn: text.boneIn,
  fatCoverMm: units.readLength(text.fatCover) ?? 0,
  receivedGrams: units.readWeight(text.weight) ?? 0,
  priceMinorPerKg: units.readPrice(text.price) ?? undefined,
  supplier: text.supplier,
  packedOn: text.packedOn || undefined,
  receivedOn: text.receivedOn,
  arrivalCelsius: units.readTemperature(text.temperature) ?? undefined,
  sourceTag: text.sourceTag,
  note: text.note,
  article: text.article || undefined,
  answers,
});

/** What the server calls these. */
export const lotNames = {
  receivedGrams: 'weight',
  priceMinorPerKg: 'price',
  fatCoverMm: 'fatCover',
  arrivalCelsius: 'temperature',
};
