import { startTransition, useEffect, useState } from 'react';

/** False for the first picture of a page, true after it: what is dear to draw and stands further down comes then. */
export function useAfterPaint(): boolean {
  const [painted, setPainted] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setPainted(true)), 50);
    return () => clearTimeout(timer);
  }, []);
  return painted;
}
