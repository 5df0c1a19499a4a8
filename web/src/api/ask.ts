import type { Schema } from './client';

export type By = Schema['EvidenceView']['by'];
export type MeasureName = Schema['EvidenceView']['measure'];

/** What can be asked for, as the address has it. */
export const asked = [
  'species',
  'cut',
  'grade',
  'supplier',
  'bone',
  'method',
  'chamber',
  'treatment',
  'person',
  'fatFrom',
  'fatTo',
  'daysFrom',
  'daysTo',
  'from',
  'to',
] as const;
export type Asked = (typeof asked)[number];

export interface Ask {
  by: By;
  measure: Compared;
  filter: Partial<Record<Asked, string>>;
}

export const byWords: Partial<Record<By, string>> = {
  METHOD: 'method',
  TREATMENT: 'treatment',
  CHAMBER: 'chamber',
  CUT: 'cut',
  GRADE: 'grade',
  SUPPLIER: 'supplier',
  BONE: 'bone',
  FAT_COVER: 'fat cover',
  BENCH_ORDER: 'bench order',
};

/** What a single piece has no figure of, or too rough a one, groups are not held against each other by. */
export type Compared = Exclude<MeasureName, 'STEAKS' | 'LIKING'>;

/** What groups of pieces can be held against each other by. */
export const measureWords: Record<Compared, string> = {
  SHRINK: 'shrink',
  STEAK_YIELD: 'steak yield',
  USABLE_YIELD: 'usable yield',
  DISCARD: 'discard',
  COST: 'cost of the steak',
  COST_EATEN: 'cost of all that is eaten',
};

/** Which field of the question asks for a group of such a kind; none where a group is not one value of it. */
const fieldOf: Partial<Record<By, Asked>> = {
  TREATMENT: 'treatment',
  CHAMBER: 'chamber',
  CUT: 'cut',
  GRADE: 'grade',
  SUPPLIER: 'supplier',
};

export function readAsk(search: URLSearchParams): Ask {
  const by = search.get('by') as By | null;
  const measure = search.get('measure') as Compared | null;
  return {
    by: by && byWords[by] ? by : 'METHOD',
    measure: measure && measureWords[measure] ? measure : 'SHRINK',
    filter: Object.fromEntries(
      asked.flatMap((key) => {
        const value = search.get(key);
        return value ? [[key, value]] : [];
      }),
    ),
  };
}

export function writeAsk({ by, measure, filter }: Ask): string {
  const search = new URLSearchParams({ by, measure });
  asked.forEach((key) => {
    const value = filter[key];
    if (value) {
      search.set(key, value);
    }
  });
  return search.toString();
}

/** The question put to the pieces of one group only; null where the group has no field of its own. */
export function narrowed(ask: Ask, group: Schema['GroupView'], facets: Schema['FacetView'][]): Ask | null {
  const field =
    ask.by === 'METHOD' || ask.by === 'BONE' ? (ask.by.toLowerCase() as Asked) : (fieldOf[ask.by] ?? null);
  const value = facets
    .find(({ name }) => name === field)
    ?.values.find(({ label }) => label === group.name)?.value;
  return field && value ? { ...ask, filter: { ...ask.filter, [field]: value } } : null;
}

/** The same as the server takes it; what cannot be is left out, not refused while it is typed. */
export function evidenceQuery({ by, measure, filter }: Ask) {
  const number = (key: Asked) => (filter[key] ? Number(filter[key]) : undefined);
  const { fatFrom, fatTo, daysFrom, daysTo, bone, species, method, ...words } = filter;
  return {
    by,
    measure,
    ...words,
    ...(species && { species: species as Schema['PieceCard']['species'] }),
    ...(method && { method: method as NonNullable<Schema['PieceCard']['method']> }),
    ...(bone && { bone: bone === 'true' }),
    ...(fatFrom && { fatFrom: number('fatFrom') }),
    ...(fatTo && { fatTo: number('fatTo') }),
    ...(daysFrom && { daysFrom: number('daysFrom') }),
    ...(daysTo && { daysTo: number('daysTo') }),
  };
}
