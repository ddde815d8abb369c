import type { DevicePerson } from '@kelmot/contract';
import type { Intent, UnitSystem, Weights } from '@kelmot/core';
import type { InstrumentId } from '@kelmot/core/instruments/instrument';
import type { Misbehaviour } from '@kelmot/demo/instruments/scene';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Settings {
  theme: 'auto' | 'light' | 'night';
  units: UnitSystem;
  /** A person’s own weights for the order at Match; the usual ones where there are none. */
  weights: Partial<Record<Intent, Weights>>;
  /** Somebody signed out without signal: the server is told before anybody is let in again. */
  leaving: boolean;
  /** Who took the device in hand while the server could not be asked: not confirmed by their code yet. */
  inHand: DevicePerson | null;
  /** Clocks are called out by sound, vibration and a notification too; never by these alone. */
  loud: boolean;
  /** Steps, clocks and verdicts are read aloud too. */
  aloud: boolean;
  /** “Next”, “back”, “repeat” and readings are listened for on the run sheet. */
  listens: boolean;
  /** Repairs that this device always has with it, closed ones too, by their ids. */
  pinned: Record<string, true>;
  /** How simulated instruments misbehave, by their ids; one that is not there is well. */
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
    /** Nobody: it is back with whoever is signed in. */
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
