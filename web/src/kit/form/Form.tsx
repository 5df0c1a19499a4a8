import Box from '@mui/material/Box';
import type { SxProps, Theme } from '@mui/material/styles';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import type { Control, FieldValues, UseFormSetValue } from 'react-hook-form';
import { FormShared } from './group';
import type { KeptForm } from './keptForm';
import { Refused, refusedField, type ServerNames } from './refused';

interface Props<T extends FieldValues> {
  form: KeptForm<T>;
  /** What the server said when it did not carry it out; a refusal of one field is shown there. */
  failure: unknown;
  /** Names of fields at the server that differ from those here. */
  names?: ServerNames;
  /** Once every field can be read; where it is answered as it is typed there is nothing to send. */
  onSubmit?: () => void;
  /** When something was changed: what was said of it before does not count any more. */
  onChange?: () => void;
  label?: string;
  sx?: SxProps<Theme>;
  children: ReactNode;
}

const noNames: ServerNames = {};

/** The one way to ask for several things: see useKeptForm for drafts, fieldsOf for what stands in it. */
export function Form<T extends FieldValues>({
  form,
  failure,
  names = noNames,
  onSubmit,
  onChange,
  label,
  sx,
  children,
}: Props<T>) {
  const { hook } = form;
  const { control, setValue } = hook;
  const shared = useMemo(
    () => ({
      control: control as unknown as Control<FieldValues>,
      setValue: setValue as unknown as UseFormSetValue<FieldValues>,
    }),
    [control, setValue],
  );
  const refused = useMemo(() => refusedField(failure, names), [failure, names]);
  const changed = useRef(onChange);
  useEffect(() => {
    changed.current = onChange;
  });
  useEffect(
    () =>
      hook.subscribe({
        formState: { values: true },
        // Without the name of a field the form begins afresh, after it was carried out: that is to stay said.
        callback: ({ name }) => name !== undefined && changed.current?.(),
      }),
    [hook],
  );
  return (
    <FormShared value={shared}>
      <Refused value={refused}>
        <Box
          component="form"
          noValidate
          aria-label={label}
          onSubmit={(event) => void hook.handleSubmit(() => onSubmit?.())(event)}
          sx={sx}
        >
          {children}
        </Box>
      </Refused>
    </FormShared>
  );
}
