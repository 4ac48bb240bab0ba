import { useCallback, useMemo, useState } from 'react';

/** Recipes ticked to do something with several at once; undefined while none are being chosen. */
export interface Chosen {
  ids: ReadonlySet<string>;
  toggle: (id: string) => void;
  all: (ids: readonly string[]) => void;
  none: () => void;
}

/** Choosing several recipes: begun and ended by one button. */
export function useChosen(): { chosen: Chosen | undefined; choosing: (on: boolean) => void } {
  const [ids, setIds] = useState<ReadonlySet<string>>();
  const toggle = useCallback((id: string): void => {
    setIds((was = new Set()) => (was.has(id) ? new Set([...was].filter((x) => x !== id)) : new Set([...was, id])));
  }, []);
  const chosen = useMemo(
    (): Chosen | undefined => ids && { ids, toggle, all: (list) => setIds(new Set(list)), none: () => setIds(new Set()) },
    [ids, toggle],
  );
  return { chosen, choosing: (on) => setIds(on ? new Set() : undefined) };
}
