import { useEffect } from 'react';

/** Keeps the screen from going dark as long as it is wanted and the page is looked at, where the device allows it. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const held = await navigator.wakeLock.request('screen');
        if (over) await held.release();
        else lock = held;
      } catch {
        // a device that saves its battery says no: it is only a convenience
      }
    };
    // a page that was behind others has lost it
    const again = () => void hold();
    document.addEventListener('visibilitychange', again);
    void hold();
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release().catch(() => undefined);
    };
  }, [wanted]);
}
