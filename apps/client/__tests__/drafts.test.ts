import { SiteSettings, withAnswer } from '@kelmot/core';
import { siteSettings } from '@kelmot/demo';
import type { UnknownAction } from '@reduxjs/toolkit';
import {
  draftChanged,
  draftDropped,
  draftOpened,
  draftKeyOf,
  draftPut,
  draftsReducer,
  unfinishedOf,
  initialDrafts,
  textsDropped,
  textTyped,
} from '@/store/drafts';
import { chooseUnits } from '@/features/settings/chooseUnits';
import { makeStore } from '@/store/store';
import { newDraft, withAsset, withFamily } from '@/features/survey/draftOf';

const shown = { ...newDraft('F2', '2026-11-24T08:00:00Z', null), shapes: ['pocket'] };
const started = draftsReducer(
  initialDrafts,
  draftPut({
    key: 'new',
    draft: shown,
  }),
);

interface Answer {
  key: string;
  path: string;
  text: string;
  site: SiteSettings | null;
  shown: typeof shown;
}

/** The drafts after an answer is typed, as the form stores it. */
function answered(drafts: typeof started, { key, path, text, site, shown }: Answer) {
  let after = drafts;
  const dispatch = <A extends UnknownAction>(action: A): A => {
    after = draftsReducer(after, action);
    return action;
  };
  const change = (draft: typeof shown) => ({
    ...draft,
    texts: withAnswer(draft, { path, text, site }),
  });
  draftChanged({ key, shown, change })(dispatch, () => ({ drafts }));
  return after;
}

test('each letter is stored under its field; other drafts do not change', () => {
  const typed = answered(started, {
    key: 'new',
    path: 'damages.0.depthMm',
    text: '1 1/2',
    site: null,
    shown,
  });
  expect(typed.surveys.new?.texts['damages.0.depthMm']).toBe('1 1/2');
  // Typing before the draft is stored begins the draft.
  const first = { key: 'other', path: 'damages.0.depthMm', text: '3', site: null, shown };
  const { other, new: old } = answered(typed, first).surveys;
  expect([other?.texts['damages.0.depthMm'], other?.shapes]).toEqual(['3', ['pocket']]);
  expect(old).toEqual(typed.surveys.new);
  expect(draftsReducer(typed, draftDropped('new')).surveys).toEqual({});
});

const typing = (site: SiteSettings | null) => (state: typeof started, path: string, text: string) =>
  answered(state, { key: 'new', path, text, site, shown });

test('a medium fills in its usual pH, until somebody types one', () => {
  const type = typing(null);
  const ph = (state: typeof started) => state.surveys.new?.texts['service.ph'];
  let state = type(started, 'service.medium', 'lime-milk');
  expect(ph(state)).toBe('12.6');
  state = type(state, 'service.medium', 'juice');
  expect(ph(state)).toBe('6.2');
  state = type(state, 'service.ph', '5.9');
  state = type(state, 'service.medium', 'water');
  expect(ph(state)).toBe('5.9');
  // An emptied field is filled in again; another choice fills in nothing.
  state = type(type(state, 'service.ph', ''), 'service.medium', 'brine');
  expect(ph(state)).toBe('7.5');
  expect(ph(type(state, 'service.wear', 'impact'))).toBe('7.5');
});

test('a slab starts with the indoor swing and follows the outdoors answer until somebody types one', () => {
  const own = SiteSettings.parse({ ...siteSettings, swingIndoorsC: 3, swingOutdoorsC: 14 });
  const swing = (state: typeof started) => state.surveys.new?.texts['floor.swingC'];
  const begin = (site: SiteSettings | null) =>
    draftsReducer(
      initialDrafts,
      draftPut({ key: 'new', draft: newDraft('F8', '2026-11-24T08:00:00Z', site) }),
    );
  expect(swing(begin(null))).toBe('2 °C');
  expect(swing(typing(null)(begin(null), 'site.outdoors', 'yes'))).toBe('8 °C');
  let state = begin(own);
  expect(swing(state)).toBe('3 °C');
  state = typing(own)(state, 'site.outdoors', 'yes');
  expect(swing(state)).toBe('14 °C');
  state = typing(own)(state, 'floor.swingC', '20');
  expect(swing(typing(own)(state, 'site.outdoors', 'no'))).toBe('20');
  // A family that is chosen later is filled in from the answers that exist.
  const outside = typing(own)(started, 'site.outdoors', 'yes').surveys.new ?? shown;
  const slab = withFamily(outside, {
    family: 'F8',
    asset: null,
    plant: { units: 'metric', site: own },
  });
  expect([slab.texts['site.outdoors'], slab.texts['floor.swingC']]).toEqual(['yes', '14 °C']);
  // A crack that does not move is not asked for its movement.
  expect(newDraft('F2', '2026-11-24T08:00:00Z', own).texts['floor.swingC']).toBeUndefined();
});

test('bare numbers get their unit before the unit system changes; others stay', () => {
  const store = makeStore();
  const texts = { ...shown.texts, 'damages.0.depthMm': '11', 'damages.0.wallMm': '1 in' };
  store.dispatch(draftPut({ key: 'new', draft: { ...shown, texts } }));
  store.dispatch(chooseUnits('us'));
  expect(store.getState().drafts.surveys.new?.texts).toMatchObject({
    'damages.0.depthMm': '11 mm',
    'damages.0.wallMm': '1 in',
  });
});

test('an asset fills in its known data and leaves the rest', () => {
  const asset = {
    id: 'a',
    tag: 'P-1',
    name: 'Pump',
    position: 'Hall',
    kind: 'pump',
    material: 'bronze',
    medium: 'juice',
    mediumC: 72,
    ph: 6.2,
    wear: null,
    costPerHour: 5,
  } as const;
  const draft = withAsset(newDraft('F2', '2026-11-24T08:00:00Z', null), asset, {
    units: 'metric',
    site: null,
  });
  expect(draft.asset.tag).toBe('P-1');
  expect(draft.texts).toMatchObject({
    'parent.material': 'bronze',
    'service.medium': 'juice',
    'service.mediumC': '72',
    'service.ph': '6.2',
    'service.wear': 'none',
  });
});

test('single texts are stored by key and removed together', () => {
  const state = draftsReducer(initialDrafts, textTyped({ key: 'r/weigh/a', text: '269' }));
  expect(state.texts['r/weigh/a']).toBe('269');
  expect(draftsReducer(state, textsDropped(['r/weigh/a'])).texts).toEqual({});
});

test('what a person did before their survey had opened stays; the survey it was begun on is known', () => {
  const base = { version: 3, survey: '{}' };
  const chosen = { ...shown, shapes: ['bore'] };
  const state = [
    draftPut({ key: 'r1', draft: chosen }),
    draftOpened({ key: 'r1', draft: shown, base }),
  ].reduce(draftsReducer, initialDrafts);
  expect(state.surveys.r1).toEqual(chosen);
  expect(state.bases.r1).toEqual(base);
  const later = draftsReducer(
    state,
    draftOpened({ key: 'r1', draft: shown, base: { ...base, version: 4 } }),
  );
  expect(later.bases.r1).toEqual(base);
});

test('a draft belongs to its author; one that was only opened or filled in does not count as unfinished', () => {
  const mine = draftKeyOf('r1', 'ida');
  const put = (key: string) => draftPut({ key, draft: shown });
  const state = [
    draftOpened({ key: mine, draft: shown }),
    put(draftKeyOf(undefined, 'ida')),
    put(draftKeyOf('r2', 'tomas')),
    put(draftKeyOf(undefined, 'tomas')),
  ].reduce(draftsReducer, initialDrafts);
  const waits = (of: typeof state, who: string) => unfinishedOf(of, who).map((u) => u.repairId);
  expect([waits(state, 'ida'), waits(state, 'tomas'), waits(state, 'vera')]).toEqual([
    [null],
    ['r2', null],
    [],
  ]);
  const letter = { key: mine, path: 'damages.0.depthMm', text: '9', site: null, shown };
  const typed = answered(state, letter);
  expect(waits(typed, 'ida')).toEqual([null, 'r1']);
  const dropped = draftsReducer(typed, draftDropped(mine));
  expect([waits(dropped, 'ida'), waits(dropped, 'tomas')]).toEqual([[null], ['r2', null]]);
  expect(Object.keys(dropped.surveys)).toHaveLength(3);
});
