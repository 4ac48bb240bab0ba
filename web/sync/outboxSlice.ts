import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Refusal, TamboEvent, UndoRequest, WriteRequest } from '#core/contract';

/** One thing that waits to be sent. */
export type PendingEntry = { seq: number; label: string } & (
  { kind: 'event'; body: TamboEvent } | { kind: 'write'; body: WriteRequest } | { kind: 'undo'; body: UndoRequest }
);

export interface RefusedEntry {
  seq: number;
  label: string;
  message: string;
  refusals: Refusal[];
  /** What was entered, whole. */
  entry: PendingEntry;
}

export interface OutboxState {
  pending: PendingEntry[];
  /** What the server would not keep; shown until it is put aside. */
  refused: RefusedEntry[];
  online: boolean;
  /** When the household shown was last reached, while there is no connection. */
  asOf?: string;
  /** The household does not let this device in: what was entered waits until it does. */
  shut: boolean;
  /** Why the server takes nothing in for now, in its own words. */
  notNow?: string;
  /** The device would not keep an entry: it waits in this page alone. */
  notKept: boolean;
}

const initialState: OutboxState = { pending: [], refused: [], online: true, shut: false, notKept: false };

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    loaded: (state, action: PayloadAction<PendingEntry[]>) => {
      state.pending = action.payload;
    },
    added: (state, action: PayloadAction<PendingEntry[]>) => {
      state.pending.push(...action.payload);
    },
    sent: (state, action: PayloadAction<number[]>) => {
      const gone = new Set(action.payload);
      state.pending = state.pending.filter((w) => !gone.has(w.seq));
      state.online = true;
      state.shut = false;
      delete state.notNow;
      if (state.pending.length === 0) state.notKept = false;
    },
    /** Another tab of this device sent them. */
    sentElsewhere: (state, action: PayloadAction<number[]>) => {
      const gone = new Set(action.payload);
      state.pending = state.pending.filter((w) => !gone.has(w.seq));
    },
    shut: (state) => {
      state.shut = true;
    },
    letIn: (state) => {
      state.shut = false;
    },
    toldLater: (state, action: PayloadAction<string>) => {
      state.notNow = action.payload;
    },
    wasRefused: (state, action: PayloadAction<RefusedEntry>) => {
      state.refused.push(action.payload);
    },
    putAside: (state, action: PayloadAction<number>) => {
      state.refused = state.refused.filter((r) => r.seq !== action.payload);
    },
    offline: (state, action: PayloadAction<string | undefined>) => {
      state.online = false;
      if (action.payload !== undefined) state.asOf = action.payload;
    },
    reached: (state) => {
      state.online = true;
    },
    notKept: (state) => {
      state.notKept = true;
    },
  },
});

export const { loaded, added, sent, sentElsewhere, shut, letIn, toldLater, wasRefused, putAside, offline, reached, notKept } =
  outboxSlice.actions;
