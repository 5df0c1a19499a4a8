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

/** A scanner that sends keys is heard wherever one is; what it typed into a field is taken out again. */
export function useScanner(onScan: (scanned: Scanned) => void): void {
  const heard = useRef(onScan);
  useEffect(() => {
    heard.current = onScan;
  });
  useEffect(() => {
    let before: { field: Field; value: string } | null = null;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      const fast = event.timeStamp - lastKeyAt < BETWEEN_KEYS_MS;
      if (event.key.length === 1) {
        lastKeyAt = event.timeStamp;
        if (!fast) {
          burst = '';
          before = isField(event.target) ? { field: event.target, value: event.target.value } : null;
        }
        burst += event.key;
      } else if (event.key === 'Enter') {
        const scanned = fast ? readScan(burst) : null;
        burst = '';
        if (scanned) {
          event.preventDefault();
          event.stopImmediatePropagation();
          if (before) {
            write(before.field, before.value);
          }
          heard.current(scanned);
        }
      }
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
}
