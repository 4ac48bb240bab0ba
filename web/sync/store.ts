import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { api } from './api.ts';
import { deviceSlice } from './deviceSlice.ts';
import { draftsSlice } from './draftsSlice.ts';
import { listeners } from './listeners.ts';
import { outboxSlice } from './outboxSlice.ts';
import { toastSlice } from './toastSlice.ts';

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    device: deviceSlice.reducer,
    drafts: draftsSlice.reducer,
    outbox: outboxSlice.reducer,
    toast: toastSlice.reducer,
  },
  middleware: (defaults) => defaults().prepend(listeners.middleware).concat(api.middleware),
});

setupListeners(store.dispatch);

export type AppStore = typeof store;
export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
/** Reads the state at the moment of a tap, without following it. */
export const useAppState = (): (() => RootState) => useStore<RootState>().getState;
export const useAppSelector = useSelector.withTypes<RootState>();
