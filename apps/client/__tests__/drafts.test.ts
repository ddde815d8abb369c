import {
  draftDropped,
  draftPut,
  draftsReducer,
  draftText,
  initialDrafts,
  textsDropped,
  textTyped,
} from '@/store/drafts';
import { unitsChosen } from '@/store/settings';
import { newDraft, withAsset } from '@/features/survey/draftOf';

const started = draftsReducer(
  initialDrafts,
  draftPut({
    key: 'new',
    draft: { ...newDraft('F2', '2026-11-24T08:00:00Z'), shapes: ['pocket'] },
  }),
);

test('each letter is kept under its field, another draft untouched', () => {
  const typed = draftsReducer(
    started,
    draftText({ key: 'new', path: 'damages.0.depthMm', text: '1 1/2' }),
  );
  expect(typed.surveys.new?.texts['damages.0.depthMm']).toBe('1 1/2');
  expect(draftsReducer(typed, draftText({ key: 'gone', path: 'x', text: 'y' }))).toEqual(typed);
  expect(draftsReducer(typed, draftDropped('new')).surveys).toEqual({});
});

test('a medium brings its usual pH, until somebody has typed one', () => {
  const type = (state: typeof started, path: string, text: string) =>
    draftsReducer(state, draftText({ key: 'new', path, text }));
  const ph = (state: typeof started) => state.surveys.new?.texts['service.ph'];
  let state = type(started, 'service.medium', 'lime-milk');
  expect(ph(state)).toBe('12.6');
  state = type(state, 'service.medium', 'juice');
  expect(ph(state)).toBe('6.2');
  state = type(state, 'service.ph', '5.9');
  state = type(state, 'service.medium', 'water');
  expect(ph(state)).toBe('5.9');
  // Emptied, it is filled in again; another choice fills nothing.
  state = type(type(state, 'service.ph', ''), 'service.medium', 'brine');
  expect(ph(state)).toBe('7.5');
  expect(ph(type(state, 'service.wear', 'impact'))).toBe('7.5');
});

test('bare numbers say their unit before another system takes over; what has a unit stays', () => {
  let state = draftsReducer(
    started,
    draftText({ key: 'new', path: 'damages.0.depthMm', text: '11' }),
  );
  state = draftsReducer(state, draftText({ key: 'new', path: 'damages.0.wallMm', text: '1 in' }));
  state = draftsReducer(state, unitsChosen('us'));
  expect(state.surveys.new?.texts).toMatchObject({
    'damages.0.depthMm': '11 mm',
    'damages.0.wallMm': '1 in',
  });
});

test('an asset fills in what it knows and leaves the rest', () => {
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
  const draft = withAsset(newDraft('F2', '2026-11-24T08:00:00Z'), asset, 'metric');
  expect(draft.asset.tag).toBe('P-1');
  expect(draft.texts).toMatchObject({
    'parent.material': 'bronze',
    'service.medium': 'juice',
    'service.mediumC': '72',
    'service.wear': 'none',
  });
});

test('loose texts are kept by key and dropped together', () => {
  const state = draftsReducer(initialDrafts, textTyped({ key: 'r/weigh/a', text: '269' }));
  expect(state.texts['r/weigh/a']).toBe('269');
  expect(draftsReducer(state, textsDropped(['r/weigh/a'])).texts).toEqual({});
});
