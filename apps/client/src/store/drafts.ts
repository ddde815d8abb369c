import type { SurveyDraft } from '@kelmot/core';
import { createSlice, type Dispatch, type PayloadAction } from '@reduxjs/toolkit';

/** Surveys being typed and loose texts (weights, readings), each by its own key. Kept on the device. */
export interface Drafts {
  surveys: Record<string, SurveyDraft>;
  /** Those in which a person typed or chose something: they wait to be finished. */
  touched: Record<string, true>;
  /** What was stored as each was begun: a survey that somebody else changed since is not written over unseen. */
  bases: Record<string, Base>;
  texts: Record<string, string>;
}

/** A stored survey as it was seen: the version of its repair, and its content as text. */
export interface Base {
  version: number;
  survey: string;
}

/** A survey that is typed belongs to who types it: of a repair, or of one that is not begun yet. */
export const draftKeyOf = (repairId: string | undefined, personId: string): string =>
  `${repairId ?? NEW}/${personId}`;
const NEW = 'new';

/** What somebody has typed and not finished: of which repair, null for a new one. */
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
    /** Put there as it is opened, or filled in from what is known: nobody has typed anything. */
    draftFilled: (
      state,
      { payload }: PayloadAction<{ key: string; draft: SurveyDraft; base?: Base }>,
    ) => {
      state.surveys[payload.key] = payload.draft;
      if (payload.base) state.bases[payload.key] = payload.base;
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
    /** Each with its answers said in other words. */
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

export const { draftFilled, draftPut, draftDropped, surveysReworded, textTyped, textsDropped } =
  slice.actions;

/** A change of a survey; `shown` is the one that is on the screen, where none is put away yet. */
export interface DraftChange {
  key: string;
  shown: SurveyDraft;
  change: (draft: SurveyDraft) => SurveyDraft;
}

/** Changes a survey as it stands once the change comes: what is on the screen may be a letter behind. */
const changedBy =
  (put: typeof draftPut | typeof draftFilled) =>
  ({ key, shown, change }: DraftChange) =>
  (dispatch: Dispatch, getState: () => { drafts: Drafts }): void => {
    dispatch(put({ key, draft: change(getState().drafts.surveys[key] ?? shown) }));
  };
/** By somebody’s hand. */
export const draftChanged = changedBy(draftPut);
/** By what is known, while nobody has typed it. */
export const draftFilledIn = changedBy(draftFilled);
export const draftsReducer = slice.reducer;
