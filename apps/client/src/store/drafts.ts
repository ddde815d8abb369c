import {
  draftFields,
  shownUnit,
  withAnswer,
  withUnits,
  type SiteSettings,
  type SurveyDraft,
} from '@kelmot/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { unitsChosen } from './settings';

/** Surveys being typed, by repair id or 'new', and loose texts (weights, readings) by their own key. Kept on the device. */
export interface Drafts {
  surveys: Record<string, SurveyDraft>;
  texts: Record<string, string>;
}

/** An answer typed into a survey as it was shown, with the site whose usual figures follow it. */
interface Answered {
  key: string;
  shown: SurveyDraft;
  path: string;
  text: string;
  site: SiteSettings | null;
}

export const initialDrafts: Drafts = { surveys: {}, texts: {} };

const slice = createSlice({
  name: 'drafts',
  initialState: initialDrafts,
  reducers: {
    draftPut: (state, { payload }: PayloadAction<{ key: string; draft: SurveyDraft }>) => {
      state.surveys[payload.key] = payload.draft;
    },
    draftText: (state, { payload }: PayloadAction<Answered>) => {
      const { key, path, text, site, shown } = payload;
      // The first letter may come before the draft was put away.
      const draft = state.surveys[key] ?? shown;
      state.surveys[key] = { ...draft, texts: withAnswer(draft, path, text, site) };
    },
    draftDropped: (state, { payload }: PayloadAction<string>) => {
      delete state.surveys[payload];
    },
    textTyped: (state, { payload }: PayloadAction<{ key: string; text: string }>) => {
      state.texts[payload.key] = payload.text;
    },
    textsDropped: (state, { payload }: PayloadAction<string[]>) => {
      for (const key of payload) delete state.texts[key];
    },
    draftsRead: (_, { payload }: PayloadAction<Drafts>) => payload,
  },
  extraReducers: (builder) => {
    // A bare "38" was meant in the old unit: say so before the new one takes over.
    builder.addCase(unitsChosen, (state, { payload }) => {
      const old = payload === 'us' ? 'metric' : 'us';
      for (const [key, draft] of Object.entries(state.surveys)) {
        const fields = new Map(draftFields(draft).map((f) => [f.path, f.field]));
        state.surveys[key] = withUnits(draft, (path) => {
          const field = fields.get(path);
          return field?.kind === 'quantity' ? shownUnit(field.quantity, old).symbol : '';
        });
      }
    });
  },
});

export const { draftPut, draftText, draftDropped, textTyped, textsDropped, draftsRead } =
  slice.actions;
export const draftsReducer = slice.reducer;
