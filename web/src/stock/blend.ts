import type { Schema } from '../api/client';
import { newId } from '../kit/drafts';
import { readNumber, type Units } from '../kit/units';

/** A stock as it stands in the fields: a pack, or meat that is bought for it. */
export interface SourceText {
  id: string;
  packId?: string;
  name: string;
  weight: string;
  price: string;
  lean: string;
  crust: string;
  used: boolean;
}

export interface BlendText {
  weight: string;
  lean: string;
  crust: string;
  aged: string;
  bought: SourceText[];
  /** What is said of packs, by their ids. */
  packs: Record<string, Pick<SourceText, 'lean' | 'crust' | 'used'>>;
}

/** Common practice: crust is strong, so a small share only. */
export const firstBlend = (): BlendText => ({
  weight: '2',
  lean: '80',
  crust: '5',
  aged: '20',
  bought: [],
  packs: {},
});

export const boughtMeat = (): SourceText => ({
  id: newId(),
  name: '',
  weight: '',
  price: '',
  lean: '90',
  crust: '0',
  used: true,
});

/** What a pack is taken for until somebody says otherwise: trim from an aged piece is mostly crust, fat mostly fat. */
export function sourceOf(pack: Schema['PackView'], text: BlendText): SourceText {
  const fat = pack.content === 'FAT';
  return {
    id: pack.id,
    packId: pack.id,
    name: `${pack.contentLabel} of ${pack.tag}`,
    weight: '',
    price: '',
    lean: fat ? '10' : '80',
    crust: fat ? '0' : '100',
    used: true,
    ...text.packs[pack.id],
  };
}

const whole = (text: string): number => Math.round(readNumber(text) ?? 0);

/** What the server takes; null while there is nothing to mix. */
export function blendBody(text: BlendText, packs: SourceText[], units: Units): Schema['BlendForm'] | null {
  const grams = units.readWeight(text.weight) ?? 0;
  const sources = [...packs, ...text.bought]
    .filter(({ used, packId, name, weight }) => used && (packId || (name.trim() && units.readWeight(weight))))
    .map((source) => ({
      packId: source.packId,
      name: source.name,
      grams: source.packId ? 0 : (units.readWeight(source.weight) ?? 0),
      priceMinorPerKg: source.packId ? 0 : (units.readPrice(source.price) ?? 0),
      leanPercent: whole(source.lean),
      crustPercent: whole(source.crust),
    }));
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

/** What goes into the grinder, as it was worked out; bought meat at the price that was typed for it. */
export const usedOf = (
  parts: Schema['BlendPart'][],
  bought: SourceText[],
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
