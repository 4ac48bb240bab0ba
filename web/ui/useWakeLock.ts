import { useEffect, useState } from 'react';

/** Keeps the screen awake while the page is looked at. Browsers offer it here and over https; elsewhere the page says what to do. */
export function useWakeLock(wanted: boolean): 'on' | 'off' | 'notHere' {
  const [state, setState] = useState<'on' | 'off' | 'notHere'>('off');
  useEffect(() => {
    if (!wanted) return undefined;
    if (!('wakeLock' in navigator)) {
      setState('notHere');
      return undefined;
    }
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          if (over) return void got.release();
          lock = got;
          setState('on');
          got.addEventListener('release', () => setState('off'));
        },
        () => setState('notHere'),
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [wanted]);
  return state;
}
