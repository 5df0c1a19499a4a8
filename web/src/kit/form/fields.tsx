import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import type { SxProps, Theme } from '@mui/material/styles';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { useController, type FieldPath, type FieldValues } from 'react-hook-form';
import { DateField } from '../DateField';
import { readDays, readNumber, readPercent, useUnits, type Units } from '../units';
import { WeightField } from '../WeightField';
import { useName, useShared } from './group';
import { useRefusal } from './refused';

type Look = Pick<TextFieldProps, 'size' | 'sx' | 'className' | 'placeholder' | 'autoFocus' | 'variant'>;

interface Common<N extends string> extends Look {
  name: N;
  label?: string;
  /** Needed; a sentence, where there is a better one to say so. */
  required?: boolean | string;
  helper?: ReactNode;
  /** The accessible name, where the label is too short to stand alone. */
  ariaLabel?: string;
  /** What follows from it, once it stands. */
  onChanged?: (text: string) => void;
}

/** Splits what is asked of a field from how it looks. */
function useField<N extends string>(
  { name: own, required, onChanged, helper, ariaLabel, ...look }: Common<N>,
  read?: (text: string) => unknown,
  unreadable?: string,
) {
  const { control } = useShared();
  const name = useName(own);
  const { field, fieldState } = useController({
    name,
    control,
    rules: {
      validate: (value: unknown) => {
        const text = String(value ?? '').trim();
        if (text === '') {
          return !required || (required === true ? 'This is needed.' : required);
        }
        return !read || read(text) !== null || unreadable;
      },
    },
  });
  const refusal = useRefusal(name);
  const typed = String(field.value ?? '');
  // What cannot be read is said at once: nobody shall learn at the end that a figure did not count.
  const unread = typed.trim() !== '' && read?.(typed) === null ? unreadable : undefined;
  const wrong = unread ?? refusal ?? fieldState.error?.message;
  return {
    text: typed,
    put: (text: string) => {
      field.onChange(text);
      onChanged?.(text);
    },
    wrong,
    helper,
    ariaLabel,
    bound: { ...look, name, inputRef: field.ref, onBlur: field.onBlur, required: Boolean(required) },
  };
}

interface TextProps<N extends string> extends Common<N> {
  type?: 'text' | 'email' | 'password' | 'time';
  /** Of how many lines it is at least, where it has more than one. */
  lines?: number;
  /** How many characters it may have. */
  most?: number;
  autoComplete?: string;
}

function Text<N extends string>({ type = 'text', lines, most, autoComplete, ...common }: TextProps<N>) {
  const { text, put, wrong, helper, ariaLabel, bound } = useField(common);
  return (
    <TextField
      {...bound}
      type={type}
      value={text}
      onChange={(event) => put(event.target.value)}
      error={Boolean(wrong)}
      helperText={wrong ?? helper}
      autoComplete={autoComplete}
      multiline={lines !== undefined}
      minRows={lines}
      slotProps={{
        htmlInput: { maxLength: most, 'aria-label': ariaLabel },
        inputLabel: bound.placeholder || type === 'time' ? { shrink: true } : undefined,
      }}
    />
  );
}

interface DateProps<N extends string> extends Common<N> {
  /** A moment, not only a day. */
  clock?: boolean;
}

/** Stands for a day that is typed by half, so that it is not taken for none. */
const HALF = 'half a day';

const readDay = (text: string) => (text === HALF ? null : text);

/** A day, as ISO 8601. */
function Day<N extends string>({ clock, ...common }: DateProps<N>) {
  const { text, put, wrong, helper, ariaLabel, bound } = useField(common, readDay, 'Not a whole day.');
  const { size, sx, className, inputRef, onBlur, required } = bound;
  return (
    <DateField
      {...{ size, sx, className, inputRef, onBlur, required, ariaLabel, clock }}
      label={common.label}
      value={text === HALF ? '' : text}
      onChange={(day) => day !== text && put(day)}
      onHalf={() => text !== HALF && put(HALF)}
      error={Boolean(wrong)}
      helperText={wrong ?? helper}
    />
  );
}

/** How a figure of each kind is read, and what it is given in. */
const measures = {
  number: { read: () => readNumber, unit: () => '', like: 'Not a number.' },
  percent: { read: () => readPercent, unit: () => '%', like: 'Not a number.' },
  days: { read: () => readDays, unit: () => '', like: 'Not a number of days. Write it like 35, or 5 weeks.' },
  minutes: { read: () => readNumber, unit: () => 'min', like: 'Not a number.' },
  price: {
    read: (units: Units) => units.readPrice,
    unit: (units: Units) => units.currency,
    like: 'Not a price. Write it like 21.50.',
  },
  money: {
    read: (units: Units) => units.readMoney,
    unit: (units: Units) => units.currency,
    like: 'Not an amount. Write it like 21.50.',
  },
  length: {
    read: (units: Units) => units.readLength,
    unit: (units: Units) => units.lengthUnit,
    like: 'Not a number.',
  },
  temperature: {
    read: (units: Units) => units.readTemperature,
    unit: (units: Units) => units.temperatureUnit,
    like: 'Not a temperature. Write it like 2.5.',
  },
};

interface MeasureProps<N extends string> extends Common<N> {
  of: keyof typeof measures;
  /** Without its unit behind it, where the label says it. */
  bare?: boolean;
}

/** A figure in the reader's unit. Only what can be read is sent; what it may be is for the server to judge. */
function Measure<N extends string>({ of, bare, ...common }: MeasureProps<N>) {
  const units = useUnits();
  const { read, unit, like } = measures[of];
  const { text, put, wrong, helper, ariaLabel, bound } = useField(common, read(units), like);
  const behind = bare ? '' : unit(units);
  return (
    <TextField
      {...bound}
      value={text}
      onChange={(event) => put(event.target.value)}
      error={Boolean(wrong)}
      helperText={wrong ?? helper}
      autoComplete="off"
      slotProps={{
        htmlInput: { inputMode: 'decimal', 'aria-label': ariaLabel },
        inputLabel: bound.placeholder || behind ? { shrink: true } : undefined, // else it runs into the unit
        input: behind
          ? { endAdornment: <InputAdornment position="end">{behind}</InputAdornment> }
          : undefined,
      }}
    />
  );
}

interface WeightProps<N extends string> extends Omit<Common<N>, 'helper' | 'size'> {
  label: string;
  size?: 'small' | 'medium';
  helper?: string;
  big?: boolean;
}

function Weight<N extends string>({ label, big, size, ...common }: WeightProps<N>) {
  const units = useUnits();
  const { text, put, wrong, bound } = useField(
    common,
    units.readWeight,
    'Not a weight. Write 8.4, 8.4 kg, 840 g or 10 lb 6 oz.',
  );
  return (
    <WeightField
      label={label}
      big={big}
      size={size}
      text={text}
      onText={put}
      error={wrong}
      helper={common.helper}
      required={bound.required}
      inputRef={bound.inputRef}
      autoFocus={bound.autoFocus}
      sx={bound.sx}
      className={bound.className}
    />
  );
}

interface ChoiceProps<N extends string> extends Common<N> {
  /** MenuItems; or values and their words. */
  children?: ReactNode;
  choices?: Record<string, string>;
  /** What it means when none of them is chosen; without it one must be. */
  empty?: string;
  /** What stands there instead of what is no choice any more. */
  shown?: string;
  disabled?: boolean;
}

function Choice<N extends string>({ children, choices, empty, shown, disabled, ...common }: ChoiceProps<N>) {
  const { text, put, wrong, helper, bound } = useField(common);
  return (
    <TextField
      {...bound}
      select
      disabled={disabled}
      value={shown ?? text}
      onChange={(event) => put(event.target.value)}
      error={Boolean(wrong)}
      helperText={wrong ?? helper}
      slotProps={
        empty === undefined ? undefined : { inputLabel: { shrink: true }, select: { displayEmpty: true } }
      }
    >
      {empty !== undefined && <MenuItem value="">{empty}</MenuItem>}
      {children ??
        Object.entries(choices ?? {}).map(([value, words]) => (
          <MenuItem key={value} value={value}>
            {words}
          </MenuItem>
        ))}
    </TextField>
  );
}

interface CheckProps<N extends string> {
  name: N;
  label: string;
  /** The accessible name, where the label is too short to stand alone. */
  ariaLabel?: string;
  onChecked?: (checked: boolean) => void;
  sx?: SxProps<Theme>;
  className?: string;
}

function Check<N extends string>({ name, label, ariaLabel, onChecked, sx, className }: CheckProps<N>) {
  const { control } = useShared();
  const { field } = useController({ name: useName(name), control });
  return (
    <FormControlLabel
      sx={sx}
      className={className}
      control={
        <Checkbox
          checked={Boolean(field.value)}
          onChange={(_, checked) => {
            field.onChange(checked);
            onChecked?.(checked);
          }}
          slotProps={{ input: { 'aria-label': ariaLabel } }}
        />
      }
      label={label}
    />
  );
}

interface Fields<N extends string> {
  Text: (props: TextProps<N>) => ReactNode;
  Day: (props: DateProps<N>) => ReactNode;
  Measure: (props: MeasureProps<N>) => ReactNode;
  Weight: (props: WeightProps<N>) => ReactNode;
  Choice: (props: ChoiceProps<N>) => ReactNode;
  Check: (props: CheckProps<N>) => ReactNode;
}

/** The kinds of field there are, with the names a form of T has. They stand inside a Form. */
export const fieldsOf = <T extends FieldValues>() =>
  ({ Text, Day, Measure, Weight, Choice, Check }) as Fields<FieldPath<T>>;
