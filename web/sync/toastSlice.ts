import type { Draft } from './draftsSlice.ts';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How the last thing done can be taken back. */
export type UndoWay =
  | { kind: 'events'; events: { id: string; subjects: string[]; seen?: string }[] }
  | { kind: 'write'; writeId: string; seen?: string }
  | { kind: 'draft'; key: string; draft: Draft };

export interface Toast {
  id: number;
  text: string;
  undo?: UndoWay;
}

export const toastSlice = createSlice({
  name: 'toast',
  initialState: {
    current: undefined as Toast | undefined,
    /** What `u` takes back, also after the toast has gone; older things are in History. */
    last: undefined as UndoWay | undefined,
    next: 1,
  },
  reducers: {
    shown: (state, action: PayloadAction<Omit<Toast, 'id'>>) => {
      state.current = { ...action.payload, id: state.next };
      state.last = action.payload.undo;
      state.next += 1;
    },
    closed: (state, action: PayloadAction<number>) => {
      if (state.current?.id === action.payload) state.current = undefined;
    },
  },
});

export const { shown, closed } = toastSlice.actions;
