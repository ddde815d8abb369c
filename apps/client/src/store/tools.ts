import type { Typed } from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is typed into the quick tools, by tool. Kept on the device. */
export interface Tools {
  typed: Record<string, Typed>;
}

export const initialTools: Tools = { typed: {} };

const slice = createSlice({
  name: 'tools',
  initialState: initialTools,
  reducers: {
    toolTyped: (state, { payload }: PayloadAction<{ tool: string; typed: Typed }>) => {
      state.typed[payload.tool] = payload.typed;
    },
    toolsReworded: (state, { payload }: PayloadAction<Tools['typed']>) => {
      state.typed = payload;
    },
  },
});

export const { toolTyped, toolsReworded } = slice.actions;
export const toolsReducer = slice.reducer;
