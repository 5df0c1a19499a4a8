import type { Schema } from '../api/client';
import { newId } from '../kit/drafts';
import { readNumber, type Units } from '../kit/units';

/** How lean something is, how much of it is crust, and whether it goes in. */
export interface ShareText {
  lean: string;
  crust: string;
  used: boolean;
}

/** Meat that is bought for it. */
export interface BoughtText extends ShareText {
  id: string;
  name: string;
  weight: string;
  price: string;
}

/** A grind as it stands in the fields. */
export interface BlendText {
  weight: string;
  lean: string;
  crust: string;
  aged: string;
  bought: BoughtText[];
  /** What is said of packs, by their ids. */
  packs: Record<string, ShareText>;
}

export const firstBlend = ({ blend }: Schema['FirstBlend'], units: Units): BlendText => ({
  weight: units.weightForField(blend.grams),
  lean: String(blend.leanPercent),
  crust: String(blend.mostCrustPercent),
  aged: String(blend.mostAgedFatPercent),
  bought: [],
  packs: Object.fromEntries(
    blend.sources.map(({ packId, leanPercent, crustPercent }) => [
      packId ?? '',
      { lean: String(leanPercent), crust: String(crustPercent), used: true },
    ]),
  ),
});

export const boughtMeat = ({ boughtLeanPercent }: Schema['FirstBlend']): BoughtText => ({
  id: newId(),
  name: '',
  weight: '',
  price: '',
  lean: String(boughtLeanPercent),
  crust: '0',
  used: true,
});

/** Fresh meat that what is packed wants with it. */
export const freshMeat = (wants: Schema['WantsView'], units: Units): BoughtText[] =>
  [
    { name: 'fresh lean', grams: wants.leanGrams, lean: wants.leanPercent },
    { name: 'fresh fat', grams: wants.fatGrams, lean: wants.fatPercent },
  ]
    .filter(({ grams }) => grams > 0)
    .map(({ name, grams, lean }) => ({
      id: newId(),
      name,
      weight: units.weightForField(grams),
      price: '',
      lean: String(lean),
      crust: '0',
      used: true,
    }));

const whole = (text: string): number => Math.round(readNumber(text) ?? 0);

/** What the server takes, of the packs there are; null while there is nothing to mix. */
export function blendBody(
  text: BlendText,
  packs: Schema['SourceForm'][],
  units: Units,
): Schema['BlendForm'] | null {
  const grams = units.readWeight(text.weight) ?? 0;
  const own = packs.flatMap(({ packId, name }) => {
    const share = text.packs[packId ?? ''];
    return share?.used ? [{ packId, name, grams: 0, priceMinorPerKg: 0, ...sharesOf(share) }] : [];
  });
  const bought = text.bought
    .filter(({ name, weight }) => name.trim() && units.readWeight(weight))
    .map((meat) => ({
      name: meat.name,
      grams: units.readWeight(meat.weight) ?? 0,
      priceMinorPerKg: units.readPrice(meat.price) ?? 0,
      ...sharesOf(meat),
    }));
  const sources = [...own, ...bought];
  return grams === 0 || sources.length === 0
    ? null
    : {
        grams,
        leanPercent: whole(text.lean),
        mostCrustPercent: whole(text.crust),
        mostAgedFatPercent: whole(text.aged),
        sources,
      };
}

const sharesOf = ({ lean, crust }: ShareText) => ({ leanPercent: whole(lean), crustPercent: whole(crust) });

/** What goes into the grinder, as it was worked out; bought meat at the price that was typed for it. */
export const usedOf = (
  parts: Schema['BlendPart'][],
  bought: BoughtText[],
  units: Units,
): Schema['UsedForm'][] =>
  parts.map(({ packId, name, grams }) => ({
    packId,
    name: packId ? '' : name,
    grams,
    priceMinorPerKg: packId
      ? 0
      : (units.readPrice(bought.find((each) => each.name.trim() === name)?.price ?? '') ?? 0),
  }));
