import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { UnitSystem } from '#core/kitchen';

/** What this device remembers of the household over a reload, so that a page is right before the frame has answered. */
export interface DeviceState {
  units: UnitSystem;
}

const key = 'tambo.units';

function rememberedUnits(): UnitSystem {
  try {
    const text = localStorage.getItem(key);
    return text === 'us' || text === 'uk' ? text : 'metric';
  } catch {
    return 'metric';
  }
}

/** Writes the measures down for the next page; without room for it that one begins in grams until the frame has answered. */
export function rememberUnits(units: UnitSystem): void {
  try {
    localStorage.setItem(key, units);
  } catch {
    // said above
  }
}

export const deviceSlice = createSlice({
  name: 'device',
  initialState: (): DeviceState => ({ units: rememberedUnits() }),
  reducers: {
    unitsFollowed: (state, action: PayloadAction<UnitSystem>) => {
      state.units = action.payload;
    },
  },
});

export const { unitsFollowed } = deviceSlice.actions;
