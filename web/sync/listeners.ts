import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { api } from './api.ts';
import { follow } from './clock.ts';
import { rememberUnits, unitsFollowed } from './deviceSlice.ts';
import { deviceStore, type KeptDraft } from './deviceStore.ts';
import { draftDropped, draftEdited, draftRedone, draftRestored, draftsLoaded, draftUndone, type DraftsState } from './draftsSlice.ts';

/** What happens beside the state: an answer sets the clock and the measures, a draft is written down. */
export const listeners = createListenerMiddleware();

listeners.startListening({
  matcher: api.endpoints.frame.matchFulfilled,
  effect: ({ payload, meta }, { dispatch }) => {
    // an answer made on this device knows no better time than the device
    if (meta.baseQueryMeta) follow(payload.now, payload.stopped);
    dispatch(unitsFollowed(payload.household.units));
    rememberUnits(payload.household.units);
  },
});

/** Long enough for a word to be typed, short enough for a lid to be shut. */
const keepDraftMs = 200;

/** Drafts whose last state is not on the device yet. */
const unkept = new Set<string>();

async function keepDrafts(drafts: DraftsState['byKey']): Promise<void> {
  const keys = [...unkept];
  unkept.clear();
  try {
    const tx = (await deviceStore()).transaction('drafts', 'readwrite');
    await Promise.all([
      ...keys.map((key) => {
        const d = drafts[key];
        return d
          ? tx.store.put({ kind: d.kind, name: d.name, path: d.path, at: d.at, present: d.present } satisfies KeptDraft, key)
          : tx.store.delete(key);
      }),
      tx.done,
    ]);
  } catch {
    // no room, or no device store: the draft lives as long as the page
  }
}

listeners.startListening({
  matcher: isAnyOf(draftEdited, draftUndone, draftRedone, draftRestored, draftDropped),
  effect: async (action, { cancelActiveListeners, delay, getState }) => {
    const { payload } = action as ReturnType<typeof draftEdited | typeof draftDropped>;
    unkept.add(typeof payload === 'string' ? payload : payload.key);
    cancelActiveListeners();
    // letters wait for the word to be whole; an act is written down at once: what was kept or given up must not come back
    if (draftEdited.match(action) && action.payload.field !== undefined) await delay(keepDraftMs);
    await keepDrafts((getState() as { drafts: DraftsState }).drafts.byKey);
  },
});

/** Reads what this device kept of half-made things, and writes down the last letters when the page goes away. */
export async function startDrafts(store: {
  dispatch: (action: ReturnType<typeof draftsLoaded>) => unknown;
  getState: () => { drafts: DraftsState };
}): Promise<void> {
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden' && unkept.size > 0) void keepDrafts(store.getState().drafts.byKey);
  });
  try {
    const db = await deviceStore();
    const [keys, values] = await Promise.all([db.getAllKeys('drafts'), db.getAll('drafts')]);
    store.dispatch(draftsLoaded(Object.fromEntries(keys.flatMap((key, i) => (values[i] ? [[key, values[i]]] : [])))));
  } catch {
    store.dispatch(draftsLoaded({}));
  }
}
