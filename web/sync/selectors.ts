import type { Household } from '#core/contract';
import { api } from './api.ts';
import type { RootState } from './store.ts';

/** The household's document as the frame last had it. */
export const selectHousehold = (state: RootState): Household | undefined => selectFrame(state)?.household;

/** What stands around every page, as it was last answered. */
export const selectFrame = (state: RootState) => api.endpoints.frame.select()(state).data;
