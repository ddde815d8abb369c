import type { DevicePerson } from '@kelmot/contract';
import type { Intent, UnitSystem, Weights } from '@kelmot/core';
import type { InstrumentId } from '@kelmot/core/instruments/instrument';
import type { Misbehaviour } from '@kelmot/demo/instruments/scene';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Settings {
  theme: 'auto' | 'light' | 'night';
  units: UnitSystem;
  /** A person's own weights for the ranking at Match; the default ones if absent. */
  weights: Partial<Record<Intent, Weights>>;
  /** Somebody signed out without signal: the server must be told before anybody signs in again. */
  leaving: boolean;
  /** The person who took over the device while the server could not be asked; not confirmed by code yet. */
  inHand: DevicePerson | null;
  /** Clocks also call by sound, vibration and notification; the screen always calls. */
  loud: boolean;
  /** Steps, clocks and verdicts are also read aloud. */
  aloud: boolean;
  /** The run sheet listens for “next”, “back”, “repeat” and readings. */
  listens: boolean;
  /** Ids of repairs that stay on this device, also when closed. */
  pinned: Record<string, true>;
  /** How simulated instruments misbehave, by id; absent: it works well. */
  misbehaves: Partial<Record<InstrumentId, Misbehaviour>>;
}

export const initialSettings: Settings = {
  theme: 'auto',
  units: 'metric',
  weights: {},
  leaving: false,
  inHand: null,
  loud: false,
  aloud: false,
  listens: false,
  pinned: {},
  misbehaves: {},
};

const slice = createSlice({
  name: 'settings',
  initialState: initialSettings,
  reducers: {
    themeChosen: (state, { payload }: PayloadAction<Settings['theme']>) => {
      state.theme = payload;
    },
    unitsChosen: (state, { payload }: PayloadAction<UnitSystem>) => {
      state.units = payload;
    },
    weightMoved: (
      state,
      { payload }: PayloadAction<{ intent: Intent; weights: Record<string, number> }>,
    ) => {
      state.weights[payload.intent] = payload.weights;
    },
    left: (state, { payload }: PayloadAction<boolean>) => {
      state.leaving = payload;
      state.inHand = null;
    },
    /** Null: the device is back with the signed-in person. */
    takenInHand: (state, { payload }: PayloadAction<DevicePerson | null>) => {
      state.inHand = payload;
    },
    loudChosen: (state, { payload }: PayloadAction<boolean>) => {
      state.loud = payload;
    },
    aloudChosen: (state, { payload }: PayloadAction<boolean>) => {
      state.aloud = payload;
    },
    listensChosen: (state, { payload }: PayloadAction<boolean>) => {
      state.listens = payload;
    },
    pinned: (state, { payload: { id, on } }: PayloadAction<{ id: string; on: boolean }>) => {
      if (on) state.pinned[id] = true;
      else delete state.pinned[id];
    },
    misbehaviourChosen: (
      state,
      { payload: { id, how } }: PayloadAction<{ id: InstrumentId; how: Misbehaviour | null }>,
    ) => {
      if (how) state.misbehaves[id] = how;
      else delete state.misbehaves[id];
    },
    weightsReset: (state, { payload }: PayloadAction<Intent>) => {
      delete state.weights[payload];
    },
  },
});

export const {
  themeChosen,
  unitsChosen,
  weightMoved,
  weightsReset,
  left,
  takenInHand,
  loudChosen,
  aloudChosen,
  listensChosen,
  pinned,
  misbehaviourChosen,
} = slice.actions;
export const settingsReducer = slice.reducer;
