import { useCallback, useEffect, useRef, useState } from 'react';
import { api, Problem } from '../api/client';
import { newId, useDraft } from '../kit/drafts';
import type { SheetForm } from './sheet';

interface Waiting {
  id: string;
  sheet: SheetForm;
}

const AGAIN_MS = 4000;

export const bearer = (token: string) => ({ header: { Authorization: `Bearer ${token}` } });

/** Sheets that were handed in: each waits on this phone until it is taken in, and is sent under one id only. */
export function useHandIn(token: string, onTaken: () => void) {
  const [waiting, setWaiting] = useDraft<Waiting[]>(`table waiting ${token}`, () => []);
  const [refused, setRefused] = useState<string | null>(null);
  const sending = useRef(false);
  const first = waiting[0];

  const send = useCallback(async () => {
    if (!first || sending.current) {
      return;
    }
    sending.current = true;
    const drop = () => setWaiting((all) => all.filter((each) => each.id !== first.id));
    try {
      await api.PUT('/taste/sheets/{sheetId}', {
        params: { path: { sheetId: first.id }, ...bearer(token) },
        body: first.sheet,
      });
      drop();
    } catch (failure) {
      if (failure instanceof Problem && failure.status >= 400 && failure.status < 500) {
        const again = failure.status === 429 || failure.type === 'tasting-not-open';
        if (!again) {
          drop();
        }
        setRefused(failure.message);
      }
    } finally {
      sending.current = false;
      onTaken();
    }
  }, [first, token, setWaiting, onTaken]);

  useEffect(() => {
    if (!first) {
      return;
    }
    const soon = setTimeout(() => void send());
    const timer = setInterval(() => void send(), AGAIN_MS);
    window.addEventListener('online', send);
    return () => {
      clearTimeout(soon);
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [first, send]);

  const handIn = (sheet: SheetForm) => {
    setRefused(null);
    setWaiting((all) => [...all, { id: newId(), sheet }]);
  };
  return { waiting: waiting.map(({ sheet }) => sheet.round), refused, handIn };
}
