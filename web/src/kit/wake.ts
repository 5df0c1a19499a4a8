import { useEffect } from 'react';

/** The screen stays awake while hands are in gloves: asked for anew whenever the page is seen again. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) {
        return;
      }
      try {
        lock = await navigator.wakeLock.request('screen');
        if (left) {
          await lock.release();
        }
      } catch {
        // A device low on power refuses; the work goes on.
      }
    };
    void hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}
