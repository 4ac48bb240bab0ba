import { useHotkeys, type HotkeyItem } from '@mantine/hooks';
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

/** A field takes letters; a tick, a radio or a file button does not. */
const takesLetters = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    ['TEXTAREA', 'SELECT'].includes(target.tagName) ||
    (target instanceof HTMLInputElement && !['checkbox', 'radio', 'file', 'button'].includes(target.type)));

/** The keys of the whole app; single letters can be switched off (WCAG 2.1.4) and never act inside a field or a dialogue, nor while held. */
export function useKeys({ singleKeys, busy, onFind, onSheet, onUndo }: Keys): void {
  const navigate = useNavigate();
  const go = (to: string): void => void navigate(to);
  /** Not while something is typed, a sheet is open, or the key is held. */
  const free = (act: () => void) => (e: KeyboardEvent) => {
    if (!e.repeat && !busy && !takesLetters(e.target) && !document.querySelector('[role=dialog]')) act();
  };
  // the address is ahead of what is drawn while a page is fetched
  const fresh = (): void => go(newHere.find(([prefix]) => window.location.pathname.startsWith(prefix))?.[1] ?? '/plan?new=1');
  useHotkeys([['mod+K', () => onFind(false)]], []);
  useHotkeys(
    ['?', 'shift+?'].map((key): HotkeyItem => [key, free(onSheet), { preventDefault: false }]),
    [],
  );
  useHotkeys(
    singleKeys
      ? [
          ...stations.map((s, i): HotkeyItem => [String(i + 1), free(() => go(s.to)), { preventDefault: false }]),
          ['n', free(fresh), { preventDefault: false }],
          ['e', free(() => go('/eat?log=1')), { preventDefault: false }],
          ['u', free(onUndo), { preventDefault: false }],
          // its letter must not land in the field that it opens
          ['k', (e) => free(() => (e.preventDefault(), onFind(true)))(e), { preventDefault: false }],
        ]
      : [],
    [],
  );
}
