import { useCallback, useEffect, useState } from 'react';
import {
  useForm,
  useWatch,
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
  type UseFormReturn,
} from 'react-hook-form';
import { dropDraft, keepDraft, readDraft } from '../drafts';

export interface KeptForm<T extends FieldValues> {
  /** What stands in the fields. */
  values: T;
  /** Puts several values in at once; fields that are not named stay as they are. */
  change: (part: Partial<T>) => void;
  /** Begins afresh, and drops what was kept on this device. */
  clear: () => void;
  hook: UseFormReturn<T>;
}

/**
 * A form whose half-filled fields are there on return.
 *
 * @param draft where it is kept on this device; null for what is never kept, as a password
 * @param first what stands in the fields to begin with
 * @param mend puts right what has changed since a draft was left
 */
export function useKeptForm<T extends FieldValues>(
  draft: string | null,
  first: () => T,
  mend: (kept: T) => T = (kept) => kept,
): KeptForm<T> {
  const [begun] = useState(
    () => (draft === null ? first() : mend(readDraft(draft, first))) as DefaultValues<T>,
  );
  const hook = useForm<T>({ defaultValues: begun });
  const { control, reset, setValue, subscribe } = hook;
  useEffect(
    () =>
      draft === null
        ? undefined
        : subscribe({ formState: { values: true }, callback: ({ values }) => keepDraft(draft, values) }),
    [draft, subscribe],
  );
  const change = useCallback(
    (part: Partial<T>) =>
      Object.entries(part).forEach(([name, value]) =>
        setValue(name as Path<T>, value as PathValue<T, Path<T>>, { shouldDirty: true }),
      ),
    [setValue],
  );
  return {
    values: useWatch({ control }) as T,
    change,
    clear: () => {
      reset(first() as DefaultValues<T>);
      if (draft !== null) {
        dropDraft(draft);
      }
    },
    hook,
  };
}
