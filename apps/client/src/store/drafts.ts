import type { SurveyDraft } from '@kelmot/core';
import { createSlice, type Dispatch, type PayloadAction } from '@reduxjs/toolkit';

/** Surveys that are being typed and single texts (weights, readings), each by its key. Kept on the device. */
export interface Drafts {
  surveys: Record<string, SurveyDraft>;
  /** Drafts in which a person typed or chose something: unfinished. */
  touched: Record<string, true>;
  /** The stored survey that each draft was begun on: another person's change is not overwritten unseen. */
  bases: Record<string, Base>;
  texts: Record<string, string>;
}

/** A stored survey as it was seen: its repair's version, and its content as text. */
export interface Base {
  version: number;
  survey: string;
}

/** The key of a draft: its author, and its repair or "new". */
export const draftKeyOf = (repairId: string | undefined, personId: string): string =>
  `${repairId ?? NEW}/${personId}`;
const NEW = 'new';

/** The unfinished drafts of a person: the repair of each; null for a new one. */
export const unfinishedOf = (
  { surveys, touched }: Drafts,
  personId: string,
): { repairId: string | null; draft: SurveyDraft }[] =>
  Object.keys(touched).flatMap((key) => {
    const [repair = '', person] = key.split('/');
    const draft = surveys[key];
    return draft && person === personId ? { repairId: repair === NEW ? null : repair, draft } : [];
  });

export const initialDrafts: Drafts = { surveys: {}, touched: {}, bases: {}, texts: {} };

const slice = createSlice({
  name: 'drafts',
  initialState: initialDrafts,
  reducers: {
    /**
     * Set when its screen has opened. A person can be quicker than that: what they typed or chose by then stays.
     */
    draftOpened: (
      state,
      {
        payload: { key, draft, base },
      }: PayloadAction<{ key: string; draft: SurveyDraft; base?: Base }>,
    ) => {
      const touched = state.touched[key] === true;
      if (!touched) state.surveys[key] = draft;
      if (base && !(touched && state.bases[key])) state.bases[key] = base;
    },
    /** Filled in from known data: nobody has typed that part. */
    draftFilled: (state, { payload }: PayloadAction<{ key: string; draft: SurveyDraft }>) => {
      state.surveys[payload.key] = payload.draft;
    },
    draftPut: (state, { payload }: PayloadAction<{ key: string; draft: SurveyDraft }>) => {
      state.surveys[payload.key] = payload.draft;
      state.touched[payload.key] = true;
    },
    draftDropped: (state, { payload }: PayloadAction<string>) => {
      delete state.surveys[payload];
      delete state.touched[payload];
      delete state.bases[payload];
    },
    /** Each draft with its answers in other units. */
    surveysReworded: (state, { payload }: PayloadAction<Drafts['surveys']>) => {
      state.surveys = payload;
    },
    textTyped: (state, { payload }: PayloadAction<{ key: string; text: string }>) => {
      state.texts[payload.key] = payload.text;
    },
    textsDropped: (state, { payload }: PayloadAction<string[]>) => {
      for (const key of payload) delete state.texts[key];
    },
  },
});

export const {
  draftOpened,
  draftFilled,
  draftPut,
  draftDropped,
  surveysReworded,
  textTyped,
  textsDropped,
} = slice.actions;

/** A change of a draft; `shown` is the draft on the screen, if none is stored yet. */
export interface DraftChange {
  key: string;
  shown: SurveyDraft;
  change: (draft: SurveyDraft) => SurveyDraft;
}

/** Applies a change to the draft as it is when the change arrives: the screen may be one letter behind. */
const changedBy =
  (put: typeof draftPut | typeof draftFilled) =>
  ({ key, shown, change }: DraftChange) =>
  (dispatch: Dispatch, getState: () => { drafts: Drafts }): void => {
    dispatch(put({ key, draft: change(getState().drafts.surveys[key] ?? shown) }));
  };
/** Typed by a person. */
export const draftChanged = changedBy(draftPut);
/** Filled in from known data, while nobody has typed it. */
export const draftFilledIn = changedBy(draftFilled);
export const draftsReducer = slice.reducer;
