import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Refusal, TamboEvent, UndoRequest, WriteRequest } from '#core/contract';

/** One thing that waits to be sent. */
export type Waiting = { seq: number; label: string } & (
  { kind: 'event'; body: TamboEvent } | { kind: 'write'; body: WriteRequest } | { kind: 'undo'; body: UndoRequest }
);

export interface RefusedEntry {
  seq: number;
  label: string;
  message: string;
  refusals: Refusal[];
}

interface OutboxState {
  waiting: Waiting[];
  /** What the server would not keep; shown until it is put aside. */
  refused: RefusedEntry[];
  online: boolean;
}

const initialState: OutboxState = { waiting: [], refused: [], online: true };

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    loaded: (state, action: PayloadAction<Waiting[]>) => {
      state.waiting = action.payload;
    },
    added: (state, action: PayloadAction<Waiting>) => {
      state.waiting.push(action.payload);
    },
    sent: (state, action: PayloadAction<number[]>) => {
      state.waiting = state.waiting.filter((w) => !action.payload.includes(w.seq));
      state.online = true;
    },
    wasRefused: (state, action: PayloadAction<RefusedEntry>) => {
      state.refused.push(action.payload);
    },
    putAside: (state, action: PayloadAction<number>) => {
      state.refused = state.refused.filter((r) => r.seq !== action.payload);
    },
    offline: (state) => {
      state.online = false;
    },
  },
});

export const { loaded, added, sent, wasRefused, putAside, offline } = outboxSlice.actions;
