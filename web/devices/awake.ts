import { useEffect } from 'react';

/** Keeps the screen on while the page is in view, where the browser lets it. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || left) return;
      lock = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null;
      if (left) void lock?.release();
    };
    void ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
}
