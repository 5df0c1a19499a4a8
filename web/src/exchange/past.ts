import type { Schema } from '../api/client';

export type Sheet = Schema['TableFile'];
export type Form = Schema['PastForm'];
export type Field = NonNullable<Schema['CellFault']['field']>;

/** Such as 1 piece, 2 pieces. */
export const counted = (number: number, what: string): string =>
  `${number} ${what}${number === 1 ? '' : 's'}`;

/** What a column may hold, in the order of the job. */
export const fieldWords: Record<Field, string> = {
  PIECE: 'Piece or tag',
  DAY: 'Day of weighing',
  WEIGHT: 'Weight on that day',
  CUT: 'Cut',
  SUPPLIER: 'Supplier',
  GRADE: 'Grade',
  PRICE: 'Price per kg',
  METHOD: 'Method',
  HUNG_ON: 'Hung on',
  GREEN: 'Green weight',
  PULLED_ON: 'Pulled on',
  AGED: 'Aged weight',
  STEAK: 'Steaks',
  USABLE_TRIM: 'Usable trim',
  FAT: 'Fat',
  BONE: 'Bone',
  DISCARD: 'Discard',
};

/** The table as it is first understood; where it could mean two orders of its days, as people here write them. */
export const firstForm = (sheet: Sheet): Form => ({
  headRow: sheet.headRow,
  rows: sheet.rows,
  columns: sheet.guess,
  weighings: Object.fromEntries(sheet.weighings.map((column) => [column, sheet.columns[column] ?? ''])),
  unit: sheet.unit,
  order:
    !sheet.orderSure && Intl.DateTimeFormat().resolvedOptions().locale === 'en-US'
      ? 'MONTH_FIRST'
      : sheet.order,
  method: 'OPEN_AIR',
});

/** The same with another column for a field; a column holds one thing only. */
export function withColumn(form: Form, field: Field, column: number | null): Form {
  const columns = Object.fromEntries(
    Object.entries(form.columns).filter(([name, at]) => name !== field && at !== column),
  );
  const weighings = Object.fromEntries(
    Object.entries(form.weighings).filter(([at]) => Number(at) !== column),
  );
  return { ...form, weighings, columns: column === null ? columns : { ...columns, [field]: column } };
}
