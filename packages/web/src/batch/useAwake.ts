import { useEffect } from 'react';

/** Keeps the screen lit while this is up, where the browser can: wet hands cannot wake it. */
export function useAwake(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const hold = async (): Promise<void> => {
      if (document.visibilityState === 'hidden') return;
      // Refused when the battery is low; then the screen goes dark as it always did.
      lock = await navigator.wakeLock.request('screen').catch(() => null);
      if (over) void lock?.release();
    };
    void hold();
    // It is lost whenever the page is hidden.
    const again = (): void => void hold();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
