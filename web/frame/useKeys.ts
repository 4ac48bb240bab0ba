import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { stations } from './stations.ts';

interface Keys {
  singleKeys: boolean;
  /** A sheet is open or about to be. */
  busy: boolean;
  onFind: (byCode: boolean) => void;
  onSheet: () => void;
  onUndo: () => void;
}

/** Where `n` leads from a page: what is new there. */
const newHere: readonly (readonly [prefix: string, to: string])[] = [
  ['/recipes', '/recipes/new'],
  ['/store', '/store/count'],
  ['/p/', '/store/count'],
  ['/eat', '/eat?log=1'],
];

/** Whether a key is being typed into something. */
const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** The keys of the whole app; single letters can be switched off (WCAG 2.1.4) and never act inside a field or a dialogue. */
export function useKeys({ singleKeys, busy, onFind, onSheet, onUndo }: Keys): void {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if ((e.ctrlKey || e.metaKey) && !e.altKey && e.key.toLowerCase() === 'k') {
        e.preventDefault();
        onFind(false);
        return;
      }
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat || busy || typing(e.target) || document.querySelector('[role=dialog]')) return;
      if (e.key === '?') return onSheet();
      if (!singleKeys) return;
      // the address is ahead of what is drawn while a page is fetched
      const { pathname } = window.location;
      const station = stations[Number(e.key) - 1];
      if (station) void navigate(station.to);
      else if (e.key === 'n') void navigate(newHere.find(([prefix]) => pathname.startsWith(prefix))?.[1] ?? '/plan?new=1');
      else if (e.key === 'e') void navigate('/eat?log=1');
      else if (e.key === 'u') onUndo();
      else if (e.key === 'k') {
        e.preventDefault();
        onFind(true);
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [singleKeys, busy, onFind, onSheet, onUndo, navigate]);
}
