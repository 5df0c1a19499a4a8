import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import dayjs, { type Dayjs } from 'dayjs';
import 'dayjs/locale/en-gb';
import type { FieldRef } from '@mui/x-date-pickers/models';
import { useRef, useState } from 'react';
import type { DateFieldProps } from './DateField';
import { formsOf, writtenAs } from './locale';

const DAY = 'YYYY-MM-DD';
const MOMENT = 'YYYY-MM-DDTHH:mm';

/** What is to be typed is read by whoever types, not only guessed. */
const readable = { '& .MuiPickersInputBase-sectionsContainer': { opacity: '1 !important' } };
const quiet = { '& .MuiPickersInputBase-sectionsContainer': { color: 'text.secondary' } };

const placeholders = {
  fieldDayPlaceholder: () => 'day',
  fieldMonthPlaceholder: () => 'month',
  fieldYearPlaceholder: () => 'year',
};

/** The calendar behind DateField. */
export default function CalendarField({
  value,
  onChange,
  onHalf = () => onChange(''),
  clock = false,
  label,
  ariaLabel,
  inputRef,
  sx,
  ...look
}: DateFieldProps) {
  const iso = (at: Dayjs | null) => (at?.isValid() ? at.format(clock ? MOMENT : DAY) : '');
  // What is half typed is no day yet, but must stand.
  const [typed, setTyped] = useState<Dayjs | null>(() => (value === '' ? null : dayjs(value)));
  if (iso(typed) !== value) {
    setTyped(value === '' ? null : dayjs(value));
  }
  const field = useRef<FieldRef<Dayjs | null>>(null);
  const forms = formsOf(writtenAs());
  const monthFirst = forms.dayOfYear.startsWith('M');
  const shared = {
    label,
    value: typed,
    onChange: (next: Dayjs | null) => {
      setTyped(next);
      if (next && !next.isValid()) {
        onHalf();
      } else {
        onChange(iso(next));
      }
    },
    inputRef,
    slotProps: {
      field: { fieldRef: field },
      textField: {
        // Until a day was whole once, the picker itself tells of nothing that is typed.
        onKeyUp: () => {
          if (typed === null) {
            const begun = field.current?.getSections().some((each) => each.value !== '');
            (begun ? onHalf : () => onChange(''))();
          }
        },
        ...look,
        className: clock ? 'clock' : undefined,
        sx: [readable, typed === null ? quiet : {}, ...(Array.isArray(sx) ? sx : [sx])],
        slotProps: { inputLabel: { shrink: true }, htmlInput: { 'aria-label': ariaLabel } },
      },
    },
  };
  return (
    <LocalizationProvider
      dateAdapter={AdapterDayjs}
      adapterLocale={monthFirst ? 'en' : 'en-gb'}
      localeText={placeholders}
    >
      {clock ? (
        <DateTimePicker {...shared} format={forms.moment} ampm={forms.clock.endsWith('A')} />
      ) : (
        <DatePicker {...shared} format={forms.day} />
      )}
    </LocalizationProvider>
  );
}
