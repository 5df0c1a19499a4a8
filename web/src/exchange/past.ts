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

/** The table as it is first understood: a bare figure below 100 is hardly grams. */
export function firstForm(sheet: Sheet): Form {
  const heads = sheet.columns.join(' ').toLowerCase();
  const weighed = (['WEIGHT', 'GREEN', 'AGED'] as const)
    .map((field) => sheet.guess[field])
    .filter((column) => column !== undefined);
  const bare = sheet.rows
    .flatMap((row) => weighed.map((column) => row[column] ?? ''))
    .map((cell) => Number(cell.replace(',', '.')))
    .filter((value) => value > 0);
  const small = bare.length > 0 && bare.every((value) => value < 100);
  return {
    headRow: sheet.headRow,
    rows: sheet.rows,
    columns: sheet.guess,
    unit: /\blbs?\b|pound/.test(heads) ? 'POUND' : /\bkg\b/.test(heads) || small ? 'KILOGRAM' : 'GRAM',
    order:
      orderOf(sheet) ??
      (Intl.DateTimeFormat().resolvedOptions().locale === 'en-US' ? 'MONTH_FIRST' : 'DAY_FIRST'),
    method: 'OPEN_AIR',
  };
}

/** Told by a number above twelve, or by a point, which no one puts between month and day. */
function orderOf(sheet: Sheet): Form['order'] | null {
  const columns = (['DAY', 'HUNG_ON', 'PULLED_ON'] as const).map((field) => sheet.guess[field]);
  const days = sheet.rows
    .flatMap((row) => columns.map((column) => (column === undefined ? '' : (row[column] ?? ''))))
    .map((cell) => /^(\d{1,2})([./-])(\d{1,2})\2/.exec(cell))
    .filter((found) => found !== null);
  if (days.some(([, first, mark]) => Number(first) > 12 || mark === '.')) {
    return 'DAY_FIRST';
  }
  return days.some(([, , , second]) => Number(second) > 12) ? 'MONTH_FIRST' : null;
}

/** The same with another column for a field; a column holds one thing only. */
export function withColumn(form: Form, field: Field, column: number | null): Form {
  const columns = Object.fromEntries(
    Object.entries(form.columns).filter(([name, at]) => name !== field && at !== column),
  );
  return { ...form, columns: column === null ? columns : { ...columns, [field]: column } };
}
