import { createContext, useContext } from 'react';
import { Problem } from '../../api/client';

/** A field's name at the server, and what it is called in the form. A `*` stands for the place in a list. */
export type ServerNames = Record<string, string>;

export interface RefusedField {
  name: string;
  sentence: string;
}

/** Which field a refusal of the server is about; null where it is about none, or asks instead. */
export function refusedField(failure: unknown, names: ServerNames): RefusedField | null {
  if (!(failure instanceof Problem) || !failure.field || failure.questions.length > 0) {
    return null;
  }
  const places = failure.field.match(/\d+/g) ?? [];
  const path = failure.field.replace(/\[\d+\]|\.\d+(?=\.|$)/g, '.*');
  const named = names[path] ?? path;
  return { name: named.replace(/\*/g, () => places.shift() ?? '*'), sentence: failure.message };
}

export const Refused = createContext<RefusedField | null>(null);

/** What the server said of a field, as long as nothing was changed since. */
export function useRefusal(name: string): string | undefined {
  const refused = useContext(Refused);
  return refused?.name === name ? refused.sentence : undefined;
}
