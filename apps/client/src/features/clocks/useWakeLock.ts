import { useEffect } from 'react';

/**
 * Keeps the screen awake while `on`, where the platform supports it; the platform releases it when the page is hidden.
 */
export function useWakeLock(on: boolean): void {
  useEffect(() => {
    if (!on || typeof navigator === 'undefined' || !('wakeLock' in navigator)) return;
    let held: WakeLockSentinel | null = null;
    let over = false;
    const hold = async () => {
      if (document.hidden || (held && !held.released)) return;
      held = await navigator.wakeLock.request('screen').catch(() => null);
      if (over) await held?.release();
    };
    const look = () => void hold();
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', look);
      void held?.release();
    };
  }, [on]);
}
