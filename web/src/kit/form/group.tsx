import { createContext, useCallback, useContext, type ReactNode } from 'react';
import { useWatch, type Control, type FieldValues, type UseFormSetValue } from 'react-hook-form';

/** What the fields of a form share. It stays the same as long as the form does, so that no field is drawn for another. */
export interface Shared {
  control: Control<FieldValues>;
  setValue: UseFormSetValue<FieldValues>;
}

export const FormShared = createContext<Shared | null>(null);

export function useShared(): Shared {
  const shared = useContext(FormShared);
  if (!shared) {
    throw new Error('A field stands in a Form.');
  }
  return shared;
}

const Prefix = createContext('');

/** A field's name in the whole form, from its name in the group it stands in. */
export function useName(name: string): string {
  const prefix = useContext(Prefix);
  return prefix === '' ? name : `${prefix}.${name}`;
}

/** Fields that stand for one thing of several, as a piece of a lot: their names begin with its own. */
export function Group({ name, children }: { name: string; children: ReactNode }) {
  return <Prefix value={useName(name)}>{children}</Prefix>;
}

/** Puts several values in at once, in the group it is asked for in, or else in the whole form. */
export function useChange<T extends FieldValues>(): (part: Partial<T>) => void {
  const prefix = useContext(Prefix);
  const { setValue } = useShared();
  return useCallback(
    (part: Partial<T>) =>
      Object.entries(part).forEach(([name, value]) =>
        setValue(prefix === '' ? name : `${prefix}.${name}`, value, { shouldDirty: true }),
      ),
    [prefix, setValue],
  );
}

/** What stands in the group, or in the whole form where there is none, and how to put several values in. */
export function useGroup<T extends FieldValues>(): { values: T; change: (part: Partial<T>) => void } {
  const prefix = useContext(Prefix);
  const whole = useWatch({ control: useShared().control });
  const values = prefix
    .split('.')
    .filter(Boolean)
    .reduce((inside: FieldValues, step) => (inside[step] ?? {}) as FieldValues, whole) as T;
  return { values, change: useChange<T>() };
}
