import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Things that can be half made. */
export type DraftKind = 'plan' | 'count' | 'form' | 'import' | 'labels' | 'line' | 'recipe';

/** Something half made: a plan, a form, an import under review. It lives until it is kept or dropped, over a reload, a closed tab and a crash. */
export interface Draft {
  /** What kind of thing it is. */
  kind: DraftKind;
  /** What the cook calls it: `Plan for Saturday`. */
  name: string;
  /** Where it is gone on with. */
  path: string;
  /** When it was last touched. */
  at: string;
  /** Values of before, the oldest first; only in this page. */
  past: unknown[];
  present: unknown;
  future: unknown[];
  /** It was begun before this page was opened, and not touched since. */
  restored?: boolean;
  /** Which field the last edit was of: letters typed into one are one step back. */
  field?: string;
}

export interface DraftsState {
  /** What this device kept has been read. */
  ready: boolean;
  byKey: Record<string, Draft>;
}

/** Steps back that are remembered. */
const mostSteps = 100;

const initialState: DraftsState = { ready: false, byKey: {} };

interface Edit {
  key: string;
  kind: DraftKind;
  name: string;
  path: string;
  at: string;
  /** As it was before the first edit of all. */
  before: unknown;
  value: unknown;
  field?: string | undefined;
}

export const draftsSlice = createSlice({
  name: 'drafts',
  initialState,
  reducers: {
    draftsLoaded: (state, action: PayloadAction<Record<string, Omit<Draft, 'past' | 'future'>>>) => {
      state.ready = true;
      for (const [key, d] of Object.entries(action.payload)) state.byKey[key] ??= { ...d, restored: true, past: [], future: [] };
    },
    draftEdited: (state, { payload: { key, kind, name, path, at, before, value, field } }: PayloadAction<Edit>) => {
      const d = state.byKey[key];
      // letters typed into one field are one step
      const same = d !== undefined && field !== undefined && d.field === field;
      state.byKey[key] = {
        kind,
        name,
        path,
        at,
        past: same ? d.past : [...(d?.past ?? []), d ? d.present : before].slice(-mostSteps),
        present: value,
        future: [],
        ...(field !== undefined && { field }),
      };
    },
    draftUndone: (state, { payload: key }: PayloadAction<string>) => {
      const d = state.byKey[key];
      if (!d || d.past.length === 0) return;
      d.future.unshift(d.present);
      d.present = d.past.pop();
      delete d.field;
    },
    draftRedone: (state, { payload: key }: PayloadAction<string>) => {
      const d = state.byKey[key];
      if (!d || d.future.length === 0) return;
      d.past.push(d.present);
      d.present = d.future.shift();
      delete d.field;
    },
    draftRestored: (state, { payload: { key, draft } }: PayloadAction<{ key: string; draft: Draft }>) => {
      state.byKey[key] ??= draft;
    },
    draftDropped: (state, { payload: key }: PayloadAction<string>) => {
      delete state.byKey[key];
    },
  },
});

export const { draftsLoaded, draftEdited, draftUndone, draftRedone, draftRestored, draftDropped } = draftsSlice.actions;
