import { startTransition, useEffect, useState } from 'react';

/** At the latest, and where a browser does not say when it is idle. */
const latestMs = 400;

/** False for the first picture of a page, true once that is drawn and the page is idle: what is dear to draw and stands further down comes then. */
export function useAfterPaint(): boolean {
  const [painted, setPainted] = useState(false);
  useEffect(() => {
    const begin = (): void => startTransition(() => setPainted(true));
    if (!('requestIdleCallback' in window)) {
      const timer = setTimeout(begin, latestMs / 4);
      return () => clearTimeout(timer);
    }
    // the frame first, then what there is time for
    let idle = 0;
    const frame = requestAnimationFrame(() => {
      idle = requestAnimationFrame(() => {
        idle = requestIdleCallback(begin, { timeout: latestMs });
      });
    });
    return () => {
      cancelAnimationFrame(frame);
      cancelAnimationFrame(idle);
      cancelIdleCallback(idle);
    };
  }, []);
  return painted;
}
