import { useCallback, useRef, useState } from 'react';

/** Runs one act at a time: until this device's queue has taken it, `busy` holds and another tap does nothing. */
export function useOnce(): { busy: boolean; once: (act: () => Promise<void>) => void } {
  const running = useRef(false);
  const [busy, setBusy] = useState(false);
  const once = useCallback((act: () => Promise<void>): void => {
    if (running.current) return;
    running.current = true;
    setBusy(true);
    void act().finally(() => {
      running.current = false;
      setBusy(false);
    });
  }, []);
  return { busy, once };
}
