import { matchAll, rank, whatWouldChange, withChanges, type Relax } from '@kelmot/core';
import { configureStore } from '@reduxjs/toolkit';
import { fireEvent, render, screen } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { Compare } from '@/features/match/Compare';
import { SchoolChoices } from '@/features/match/SchoolChoices';
import { CriteriaWeights } from '@/features/match/CriteriaWeights';
import { TrialBar, WhatIfBlock } from '@/features/match/WhatIfBlock';
import { FamilyPicker } from '@/features/survey/FamilyPicker';
import { settingsReducer } from '@/store/settings';
import { card, site, survey } from '../../../packages/core/test/fixtures';

function show(element: ReactElement) {
  const store = configureStore({ reducer: { settings: settingsReducer } });
  render(<Provider store={store}>{element}</Provider>);
  return store;
}
const dearer = {
  ...card,
  code: 'R-101',
  name: 'Dearer paste',
  packs: card.packs.map((p) => ({ ...p, price: p.price * 3 })),
};
const rushed = { ...survey, site: { ...survey.site, tools: 'power' as const } };

test('two systems stand side by side with their scores; one alone is not compared', () => {
  const ranked = rank(matchAll(survey, [card, dearer], { site }), 'lasting');
  const dropped: string[] = [];
  show(<Compare chosen={ranked} onDrop={(code) => dropped.push(code)} />);
  expect(screen.getByText('R-100 Test paste')).toBeTruthy();
  expect(screen.getByText('R-101 Dearer paste')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Remove: R-101, from the comparison'));
  expect(dropped).toEqual(['R-101']);
  screen.rerender(
    <Provider store={configureStore({ reducer: { settings: settingsReducer } })}>
      <Compare chosen={ranked.slice(0, 1)} onDrop={() => undefined} />
    </Provider>,
  );
  expect(screen.queryByTestId('compare')).toBeNull();
});

test('a what-if shows its change, is tried by one touch, and undone', () => {
  const ranked = rank(matchAll(rushed, [card], { site }), 'lasting');
  const found = whatWouldChange(rushed, ranked, { site });
  expect(found.map((w) => w.changes.map((c) => c.path))).toEqual([['site.tools']]);
  let tried: readonly Relax[] = [];
  show(<WhatIfBlock found={found} onTry={(w) => (tried = w.changes)} />);
  fireEvent.press(screen.getByTestId('what-if-R-100'));
  expect(withChanges(rushed, tried)?.site.tools).toBe('blast');
  let undone = 0;
  show(<TrialBar changes={tried} onUndo={() => (undone += 1)} onKeep={null} />);
  expect(screen.getByText('Trial, not saved yet')).toBeTruthy();
  expect(screen.getAllByText('Would with grit blasting.').length).toBeGreaterThan(0);
  expect(screen.queryByTestId('trial-keep')).toBeNull();
  fireEvent.press(screen.getByTestId('trial-undo'));
  expect(undone).toBe(1);
});

test('weights are moved, stored as the person’s own, and reset', () => {
  const store = show(<CriteriaWeights intent="lasting" />);
  fireEvent.press(screen.getByText('Ranking weights'));
  fireEvent.press(screen.getByTestId('weight-life-more'));
  expect(store.getState().settings.weights.lasting?.life).toBeCloseTo(0.05, 6);
  expect(screen.getByText('Ranking: your own weights')).toBeTruthy();
  fireEvent.press(screen.getByTestId('weights-reset'));
  expect(store.getState().settings.weights.lasting).toBeUndefined();
});

test('where practitioners differ the usual answer is marked, and another can be chosen', () => {
  let chosen = {};
  show(<SchoolChoices family="F2" card={card} chosen={{}} onChoose={(next) => (chosen = next)} />);
  fireEvent.press(screen.getByText('Where practitioners differ'));
  expect(screen.getByText('Overfill and grind (usual)')).toBeTruthy();
  fireEvent.press(screen.getByTestId('school-proud-strike'));
  expect(chosen).toEqual({ proud: 'strike' });
});

test('the kinds of repair usual for an asset come first, the others on touch', () => {
  const picked: string[] = [];
  show(<FamilyPicker kind="pipe" value="F4" onPick={(f) => picked.push(f)} />);
  expect(screen.getByTestId('family-F5')).toBeTruthy();
  expect(screen.queryByTestId('family-F9')).toBeNull();
  fireEvent.press(screen.getByTestId('family-all'));
  fireEvent.press(screen.getByTestId('family-F9'));
  expect(picked).toEqual(['F9']);
});
