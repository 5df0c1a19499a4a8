import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { lazy, type ReactNode, type Ref } from 'react';
import { Later } from './Later';

export interface DateFieldProps extends Pick<TextFieldProps, 'size' | 'sx' | 'className' | 'required'> {
  label?: string;
  /** ISO 8601: a day, or a day and its clock; empty for none. */
  value: string;
  /** Empty as long as no day can be read from what is typed. */
  onChange: (value: string) => void;
  /** Said instead, where what is typed is no whole day yet. */
  onHalf?: () => void;
  /** A moment, not only a day. */
  clock?: boolean;
  error?: boolean;
  helperText?: ReactNode;
  ariaLabel?: string;
  inputRef?: Ref<HTMLInputElement>;
  onBlur?: () => void;
}

const Picker = lazy(() => import('./DatePicker'));

/** A day or a moment, typed or chosen, written as everywhere else. The calendar is fetched only where a day is asked for. */
export function DateField(props: DateFieldProps) {
  const { label, size, sx, className, required } = props;
  const meanwhile = <TextField {...{ label, size, sx, className, required }} disabled value=" " />;
  return (
    <Later meanwhile={meanwhile}>
      <Picker {...props} />
    </Later>
  );
}
