import { useEffect, useMemo, useRef } from 'react';
import { join, move, paste, split, type Edited } from '#core/recipe';
import type { TextActs } from './TextRow.tsx';

interface Text {
  id: string;
  text: string;
}

/**
 * What keys do in a list of texts. Letters typed into one text are one step back; where the writing goes on gets the focus.
 * @param onWhole takes a paste that is more than lines, and says whether it did
 */
export function useTexts<T extends Text>(
  texts: readonly T[],
  set: (texts: T[], field?: string) => void,
  make: (text: string) => T,
  onWhole?: (text: string) => boolean,
): TextActs {
  const live = useRef({ texts, set, make, onWhole });
  const focus = useRef<Edited<T>['at']>(undefined);
  useEffect(() => {
    live.current = { texts, set, make, onWhole };
    const at = focus.current;
    const field = at && document.querySelector<HTMLTextAreaElement>(`[data-text="${CSS.escape(at.id)}"]`);
    if (!at || !field) return;
    focus.current = undefined;
    field.focus();
    field.setSelectionRange(at.caret, at.caret);
  });
  return useMemo((): TextActs => {
    const put = ({ texts: next, at }: Edited<T>): void => {
      focus.current = at;
      live.current.set(next);
    };
    return {
      type: (id, text) =>
        live.current.set(
          live.current.texts.map((t) => (t.id === id ? { ...t, text } : t)),
          `text ${id}`,
        ),
      enter: (id, caret) => put(split(live.current.texts, id, caret, live.current.make)),
      back: (id) => put(join(live.current.texts, id)),
      step: (id, by) => {
        const all = [...document.querySelectorAll<HTMLTextAreaElement>('[data-text]')];
        const next = all[all.findIndex((f) => f.dataset.text === id) + by];
        next?.focus();
        next?.setSelectionRange(next.value.length, next.value.length);
      },
      move: (id, by) =>
        put({ texts: move(live.current.texts, id, by), at: { id, caret: live.current.texts.find((t) => t.id === id)?.text.length ?? 0 } }),
      paste: (id, caret, text) => {
        if (live.current.onWhole?.(text)) return true;
        put(paste(live.current.texts, id, caret, text.split(/\r?\n/), live.current.make));
        return true;
      },
    };
  }, []);
}
