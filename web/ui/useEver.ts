import { useState } from 'react';

/** True from the first time on: what was there once stays until the page is left, so that nothing goes away under a tap. */
export function useEver(now: boolean): boolean {
  const [ever, setEver] = useState(now);
  if (now && !ever) setEver(true);
  return ever || now;
}
