import { useEffect, useState, useSyncExternalStore } from 'react';
import { useDevices } from '../api/chambers';
import type { Schema } from '../api/client';

export type Shown = Schema['Shown'];

/** A scale at rest sends a figure a second; after this long without one it counts as silent. */
const SILENT_AFTER_MS = 3_500;

/** A stream that merely ended is joined again by the browser; one that was refused is asked for after this long. */
const JOIN_AGAIN_MS = 3_000;

const lastUsed = 'elvaro scale';

/** The scales of the workshop and the one this device stands beside. */
export function useScales() {
  const devices = useDevices();
  const scales = (devices.data ?? []).filter((each) => !each.chamberId);
  const [chosen, setChosen] = useState(() => localStorage.getItem(lastUsed));
  const scale = scales.find((each) => each.id === chosen) ?? scales[0];
  const choose = (id: string) => {
    localStorage.setItem(lastUsed, id);
    setChosen(id);
  };
  return { scales, scale, choose };
}

let watchers = 0;
const told = new Set<() => void>();

function watch(more: 1 | -1): void {
  watchers += more;
  told.forEach((tell) => tell());
}

/** Whether anything on the screen waits for a figure of a scale. */
export const useScaleIsWatched = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      told.add(tell);
      return () => told.delete(tell);
    },
    () => watchers > 0,
  );

/** What a scale shows now; null while it is silent. */
export function useScale(id: string | undefined): Shown | null {
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => {
    if (!id) {
      return;
    }
    let figures: EventSource;
    let silence = 0;
    let again = 0;
    const join = () => {
      figures = new EventSource(`/api/scales/${id}/figures`);
      figures.onmessage = (event) => {
        setShown(JSON.parse(String(event.data)) as Shown);
        window.clearTimeout(silence);
        silence = window.setTimeout(() => setShown(null), SILENT_AFTER_MS);
      };
      figures.onerror = () => {
        if (figures.readyState === EventSource.CLOSED) {
          window.clearTimeout(again);
          again = window.setTimeout(join, JOIN_AGAIN_MS);
        }
      };
    };
    join();
    watch(1);
    return () => {
      watch(-1);
      figures.close();
      window.clearTimeout(silence);
      window.clearTimeout(again);
      setShown(null);
    };
  }, [id]);
  return shown;
}
