import { useEffect, useState } from 'react';
import type { Instant } from '#core/contract';

/** The one place in the page that reads the time; it runs on the server's offset. */
const offsetKey = 'tambo.clockOffset';

function keptOffset(): number {
  try {
    return Number(localStorage.getItem(offsetKey)) || 0;
  } catch {
    return 0;
  }
}

// kept over reloads: a device whose clock is an hour wrong is right without a connection too
let offsetMs = keptOffset();
let heldAt: number | undefined;

/** Told when the clock has been set by the server. */
const set = new EventTarget();

/** Follows the server: its answer says what time it is there, and whether its clock stands. */
export function follow(serverNow: Instant, stopped: boolean): void {
  const server = new Date(serverNow).getTime();
  offsetMs = server - Date.now();
  heldAt = stopped ? server : undefined;
  set.dispatchEvent(new Event('set'));
  try {
    localStorage.setItem(offsetKey, String(Math.round(offsetMs)));
  } catch {
    // then the next page asks again
  }
}

export const now = (): Instant => new Date(heldAt ?? Date.now() + offsetMs).toISOString();

/** The time now, renewed every so many milliseconds, for timers on screen. */
export function useNow(everyMs = 1000): Instant {
  const [at, setAt] = useState(now);
  useEffect(() => {
    const tick = (): void => setAt(now());
    const timer = setInterval(tick, everyMs);
    set.addEventListener('set', tick);
    return () => {
      clearInterval(timer);
      set.removeEventListener('set', tick);
    };
  }, [everyMs]);
  return at;
}
