import type { DraftRun } from '../sync/useDraft.ts';

/** What was changed and is not kept yet, said in one line, with a step back, a step forward and the way out. */
export function Unkept<T>({ draft, initial }: { draft: DraftRun<T>; initial: T }) {
  const changed = draft.dirty && JSON.stringify(draft.value) !== JSON.stringify(initial);
  if (!changed && !draft.undo && !draft.redo) return null;
  return (
    <div className="note row wrap" role="status" style={{ marginBottom: 14 }}>
      <span className="grow">
        {changed
          ? draft.restored
            ? 'You left this half made. It is as you left it, on this device only, until you keep it.'
            : 'Not kept yet: it waits on this device, whatever happens to this page.'
          : 'As it was.'}
      </span>
      <button type="button" className="btn o s" disabled={!draft.undo} onClick={draft.undo}>
        Step back
      </button>
      <button type="button" className="btn o s" disabled={!draft.redo} onClick={draft.redo}>
        Step forward
      </button>
      {changed && (
        <button type="button" className="btn o s" onClick={() => draft.edit(initial)}>
          As it was before
        </button>
      )}
    </div>
  );
}
