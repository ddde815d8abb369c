import { formOf, withUnitsTyped, type Typed } from '@kelmot/core';
import { calcByName } from '@kelmot/core/calc/registry';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { unitsChosen } from './settings';

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
  },
  extraReducers: (builder) => {
    builder.addCase(unitsChosen, (state, { payload }) => {
      const old = payload === 'us' ? 'metric' : 'us';
      for (const [tool, typed] of Object.entries(state.typed)) {
        const calc = calcByName.get(tool);
        if (calc) state.typed[tool] = withUnitsTyped(formOf(calc), typed, old);
      }
    });
  },
});

export const { toolTyped } = slice.actions;
export const toolsReducer = slice.reducer;
