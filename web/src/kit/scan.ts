import { useEffect, useRef } from 'react';

/** A scanner types faster than any hand; so long after the last key it has ended. */
const BETWEEN_KEYS_MS = 50;

/** After so long a single key was a person's. */
export const ALONE_AFTER_MS = 80;

/** What a code on a tag or a label stands for; some keyboards write other signs for those between the letters. */
const ADDRESS = /(pieces|packs).([0-9a-f]{8}).([0-9a-f]{4}).([0-9a-f]{4}).([0-9a-f]{4}).([0-9a-f]{12})/i;

export interface Scanned {
  what: 'pieces' | 'packs';
  id: string;
}

/** What was scanned; null where it is none of ours. */
export function readScan(text: string): Scanned | null {
  const found = ADDRESS.exec(text);
  return (
    found && {
      what: found[1]?.toLowerCase() as Scanned['what'],
      id: found.slice(2).join('-').toLowerCase(),
    }
  );
}

let lastKeyAt = 0;
let burst = '';

/** Whether more than one key came as fast as only a scanner sends them. */
export const isScanning = (): boolean => burst.length > 1;

type Field = HTMLInputElement | HTMLTextAreaElement;

const isField = (target: EventTarget | null): target is Field =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Writes into a field as if it was typed, so that whoever keeps its value hears of it. */
function write(field: Field, value: string): void {
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  Object.getOwnPropertyDescriptor(kind.prototype, 'value')?.set?.call(field, value);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** Between the values of a code scanners press Control and ], which is the sign 29. */
const SEPARATOR = '\u001d';

/** A box's code, GS1: said to be one, or beginning with the number of an article or of the box. */
const BOX = /^(?:\](?:C1|d2|Q3|e0)|\u001d|(?:\(0[012]\)|0[12]\d{14}|00\d{18}|\(?3[12]0\d))/;

/** The code of a box; null where it is none. */
export const readBox = (text: string): string | null => (BOX.test(text) ? text : null);

/** What a keyboard says of a key, as a sign of a code; null for keys that write none. */
export function signOf(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): string | null {
  if (event.ctrlKey && !event.altKey && event.key === ']') {
    return SEPARATOR;
  }
  return event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey ? event.key : null;
}

interface Listener {
  /** Whether it was of use. */
  hears: (text: string) => boolean;
}

const listeners = new Set<Listener>();
let before: { field: Field; value: string } | null = null;

function onKey(event: KeyboardEvent): void {
  const fast = event.timeStamp - lastKeyAt < BETWEEN_KEYS_MS;
  const sign = signOf(event);
  if (sign !== null) {
    lastKeyAt = event.timeStamp;
    if (!fast) {
      burst = '';
      before = isField(event.target) ? { field: event.target, value: event.target.value } : null;
    }
    burst += sign;
    if (sign === SEPARATOR) {
      event.preventDefault();
    }
  } else if (event.key === 'Enter') {
    const text = fast ? burst : '';
    burst = '';
    if (text !== '' && [...listeners].some((each) => each.hears(text))) {
      event.preventDefault();
      event.stopImmediatePropagation();
      if (before) {
        write(before.field, before.value);
      }
    }
  }
}

/**
 * A scanner that sends keys is heard wherever one is; what it typed into a field is taken out again.
 *
 * @param read what is meant by a code; null where it is none of these
 */
export function useScanner<T>(read: (text: string) => T | null, onScan: (scanned: T) => void): void {
  const heard = useRef(onScan);
  useEffect(() => {
    heard.current = onScan;
  });
  useEffect(() => {
    const listener: Listener = {
      hears: (text) => {
        const scanned = read(text);
        if (scanned !== null) {
          heard.current(scanned);
        }
        return scanned !== null;
      },
    };
    if (listeners.size === 0) {
      window.addEventListener('keydown', onKey, true);
    }
    listeners.add(listener);
    return () => {
      listeners.delete(listener);
      if (listeners.size === 0) {
        window.removeEventListener('keydown', onKey, true);
      }
    };
  }, [read]);
}
