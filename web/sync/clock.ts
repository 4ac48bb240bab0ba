import { useEffect, useState } from 'react';
import type { Instant } from '#core/contract';

/** The one place in the page that reads the time; it runs on the server's offset. */
const offsetKey = 'tambo.clockOffset';

function keptOffset(): number | undefined {
  try {
    const kept = localStorage.getItem(offsetKey);
    return kept === null ? undefined : Number(kept) || 0;
  } catch {
    return undefined;
  }
}

// kept over reloads: a device whose clock is an hour wrong is right without a connection too
let offsetMs = keptOffset();
let heldAt: number | undefined;

/** Told when the clock has been set by the server. */
const set = new EventTarget();

/** Clocks that are this far apart were set anew. */
const setAnewMs = 5000;

/**
 * An answer is read some time after it was written, so what it says of the server's clock is late by that: of two the later is the nearer. A device that
 * went by a late one would date what it takes back before what it saw.
 * @example nearerOffset(120, -900) // 120: that answer was a second on its way
 */
export const nearerOffset = (held: number | undefined, told: number): number =>
  held === undefined || Math.abs(held - told) > setAnewMs ? told : Math.max(held, told);

/** Follows the server: its answer says what time it is there, and whether its clock stands. */
export function follow(serverNow: Instant, stopped: boolean): void {
  const server = new Date(serverNow).getTime();
  offsetMs = nearerOffset(offsetMs, server - Date.now());
  heldAt = stopped ? server : undefined;
  set.dispatchEvent(new Event('set'));
  try {
    localStorage.setItem(offsetKey, String(Math.round(offsetMs)));
  } catch {
    // then the next page asks again
  }
}

export const now = (): Instant => new Date(heldAt ?? Date.now() + (offsetMs ?? 0)).toISOString();

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
