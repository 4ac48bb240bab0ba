import { createListenerMiddleware } from '@reduxjs/toolkit';
import { api } from './api.ts';
import { follow } from './clock.ts';
import { rememberUnits, unitsFollowed } from './deviceSlice.ts';

/** What happens beside the state when something was answered: the clock is set, measures are remembered. */
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
