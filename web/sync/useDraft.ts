import { useCallback, useMemo } from 'react';
import { now } from './clock.ts';
import { draftDropped, draftEdited, draftRedone, draftUndone, type DraftKind } from './draftsSlice.ts';
import { useAppDispatch, useAppSelector } from './store.ts';

/** Something half made, as a page works on it. */
export interface DraftRun<T> {
  value: T;
  /** Something was changed and is not kept yet. */
  dirty: boolean;
  /** It was begun before this page was opened, and not touched since. */
  restored: boolean;
  /** Changes it; edits of one field in a row are one step back. */
  edit: (next: T, field?: string) => void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  /** It was kept elsewhere, or is not wanted any longer. */
  drop: () => void;
}

/** How a draft is told from others and found again. */
export interface DraftOptions<T> {
  kind: DraftKind;
  /** What is edited: one draft each. */
  key: string;
  /** What the cook calls it. */
  name: (value: T) => string;
  path: string;
  /** How it begins. */
  initial: T;
  /** What was kept on this device by an older page may have another shape: undefined then, and it begins anew. */
  read: (kept: unknown) => T | undefined;
}

/**
 * A draft that survives a reload, going back, a closed tab and a crash, with undo and redo while it is edited.
 * @returns undefined for the moment it takes to read what this device kept
 */
export function useDraft<T>({ kind, key, name, path, initial, read }: DraftOptions<T>): DraftRun<T> | undefined {
  const dispatch = useAppDispatch();
  const ready = useAppSelector((s) => s.drafts.ready);
  const draft = useAppSelector((s) => s.drafts.byKey[key]);
  const present = draft?.present;
  const restored = draft?.restored === true;
  // what this page itself put there has its shape, however odd a figure is while it is typed
  const kept = useMemo(() => (present === undefined ? undefined : restored ? read(present) : (present as T)), [present, restored, read]);
  const value = kept ?? initial;
  const edit = useCallback(
    (next: T, field?: string) =>
      void dispatch(draftEdited({ key, kind, name: name(next), path, at: now(), before: initial, value: next, field })),
    [dispatch, key, kind, name, path, initial],
  );
  const undo = useCallback(() => void dispatch(draftUndone(key)), [dispatch, key]);
  const redo = useCallback(() => void dispatch(draftRedone(key)), [dispatch, key]);
  const drop = useCallback(() => void dispatch(draftDropped(key)), [dispatch, key]);
  if (!ready) return undefined;
  return {
    value,
    dirty: kept !== undefined,
    restored: kept !== undefined && restored,
    edit,
    undo: draft && draft.past.length > 0 ? undo : undefined,
    redo: draft && draft.future.length > 0 ? redo : undefined,
    drop,
  };
}
