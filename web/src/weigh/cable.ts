import { useEffect, useRef, useState } from 'react';
import { answer, api } from '../api/client';

/** The part of Web Serial that is used; browsers that have it give it to pages that came encrypted, or from the machine itself. */
interface SerialPort {
  open: (how: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}

interface Serial {
  requestPort: () => Promise<SerialPort>;
}

const serial = (): Serial | undefined => (navigator as { serial?: Serial }).serial;

/** Whether a scale can be plugged into the device this page is on. */
export const hasCable = (): boolean => serial() !== undefined;

/** As fast as scales write; most are set to the third. */
export const speeds = [1200, 4800, 9600, 19_200, 38_400, 115_200];

/** Lines are passed on so often at most. */
const PASSED_ON_MS = 200;

/** A line never is longer; what is was read at the wrong speed. */
const LONGEST_LINE = 200;

/** What a scale writes at this device's own cable goes to the house line by line; what it means is told there. */
export function useCable(scale: string | undefined) {
  const [state, setState] = useState<'none' | 'open' | 'lost'>('none');
  const [failure, setFailure] = useState<unknown>(null);
  const end = useRef<(() => void) | null>(null);
  useEffect(() => () => end.current?.(), [scale]);
  const plugIn = async (baudRate: number) => {
    const port = await serial()?.requestPort();
    if (!port || !scale) {
      return;
    }
    await port.open({ baudRate });
    setState('open');
    setFailure(null);
    let lines: string[] = [];
    const passing = window.setInterval(() => {
      const sent = lines.slice(-10);
      lines = [];
      if (sent.length > 0) {
        answer(
          api.POST('/api/scales/{id}/lines', { params: { path: { id: scale } }, body: { lines: sent } }),
        ).then(() => setFailure(null), setFailure);
      }
    }, PASSED_ON_MS);
    const reader = port.readable?.getReader();
    end.current = () => {
      window.clearInterval(passing);
      void reader?.cancel().catch(() => undefined);
      setState('none');
    };
    const words = new TextDecoder('ascii');
    let rest = '';
    let begun = false;
    try {
      for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
        const read = (rest + words.decode(part.value, { stream: true })).split(/[\r\n]+/);
        rest = (read.pop() ?? '').slice(-LONGEST_LINE);
        if (!begun && read.length > 0) {
          read.shift(); // it may be cut: the scale was writing when the port was opened
          begun = true;
        }
        lines.push(...read.filter((line) => line.trim() !== '').map((line) => line.slice(0, LONGEST_LINE)));
      }
    } catch {
      setState('lost');
    } finally {
      window.clearInterval(passing);
      reader?.releaseLock();
      await port.close().catch(() => undefined);
    }
  };
  return { state, failure, plugIn, unplug: () => end.current?.() };
}
