import type { Command, RepairView } from '@kelmot/contract';
import { judge, matchAll, rank, stripOf, planSummaryOf, axisOf, drawSection } from '@kelmot/core';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { MatchCard } from '@/features/match/MatchCard';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { coatStates } from '@/shared/repair/sectionOf';
import { Cautions } from '@/features/stations/Cautions';
import { Mix, MixAction } from '@/features/stations/Mix';
import { StepList } from '@/features/stations/Steps';
import { MoveOn } from '@/features/stations/StepsStation';
import { CureStrip } from '@/shared/ui/CureStrip';
import { SectionView } from '@/shared/ui/SectionView';
import { StationScale } from '@/shared/ui/StationScale';
import { card, site, survey } from '../../../packages/core/test/fixtures';
import { textTyped } from '@/store/drafts';
import { ida, met, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore, noted } from './opened';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ router: { navigate: (to: string) => mockNavigate(to) } }));

const plan = planOf();
const fresh = viewOf(plan);

function show(element: ReactElement) {
  const store = freshStore();
  render(<Provider store={store}>{element}</Provider>);
  return store;
}

/** A repair as a screen gets it; records the commands that it sends. */
function opened(view: RepairView, canWrite = true) {
  const { sent, repair } = noted(view, canWrite);
  return { sent, props: { id: view.id, view, plan, repair } };
}

beforeEach(() => mockNavigate.mockClear());

test('a step is ticked once; a viewer cannot', () => {
  const { sent, props } = opened(fresh);
  show(<StepList station="prep" {...props} />);
  fireEvent.press(screen.getByTestId('check-isolate'));
  expect(sent).toEqual([
    { type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: '' },
  ]);
});

test('a viewer sees the steps and sends nothing', () => {
  const { sent, props } = opened(fresh, false);
  show(<StepList station="prep" {...props} />);
  fireEvent.press(screen.getByTestId('check-isolate'));
  expect(sent).toEqual([]);
});

test('a reading in another unit is recorded in millimetres; an invalid one shows its error', () => {
  const { sent, props } = opened(fresh);
  show(<StepList station="prep" {...props} />);
  fireEvent.changeText(screen.getByTestId('reading-open-up'), 'deep');
  fireEvent.press(screen.getByTestId('record-open-up'));
  expect(screen.getByText(/not a number.*3 mm or more/)).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('reading-open-up'), '1/4 in');
  fireEvent.press(screen.getByTestId('record-open-up'));
  expect(sent).toEqual([
    { type: 'reading.add', stepId: 'open-up', values: { kind: 'reading', value: 6.35 } },
  ]);
});

test('the gate needs three valid readings before it judges', () => {
  const { sent, props } = opened(fresh);
  show(<StepList station="prep" {...props} />);
  fireEvent.changeText(screen.getByTestId('gate-airC'), '20');
  fireEvent.changeText(screen.getByTestId('gate-rhPct'), '400');
  fireEvent.press(screen.getByTestId('record-gate'));
  expect(screen.getByText('Too big: 100 % is the most, 1 % the least.')).toBeTruthy();
  expect(sent).toEqual([]);
  fireEvent.changeText(screen.getByTestId('gate-rhPct'), '50');
  fireEvent.changeText(screen.getByTestId('gate-surfaceC'), '64 F');
  fireEvent.press(screen.getByTestId('record-gate'));
  expect(sent).toMatchObject([
    { values: { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: expect.closeTo(17.78, 2) } },
  ]);
});

test('the button to the next station names what is open, and goes when nothing is', () => {
  const held = opened(fresh);
  show(<MoveOn {...held.props} next="mix" />);
  expect(screen.getByText(/^Run, \d+ to do: Isolate and make safe$/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('to-run'));
  expect(held.sent).toEqual([]);
  expect(mockNavigate).toHaveBeenCalledWith(`/repair/${fresh.id}/run`);
  const free = opened(met(fresh, ['prep']));
  show(<MoveOn {...free.props} next="mix" />);
  fireEvent.press(screen.getByLabelText('On to Mix'));
  expect(free.sent).toEqual([{ type: 'station.move', station: 'mix' }]);
  expect(mockNavigate).toHaveBeenCalledWith(`/repair/${fresh.id}/mix`);
});

test('a batch starts only on ratio, and shows what to add otherwise', () => {
  // Half an hour ago: the waits are over, and the gate reading is not yet too old.
  const { sent, props } = opened(
    met(fresh, ['prep', 'mix'], new Date(Date.now() - 1_800_000).toISOString()),
  );
  show(
    <>
      <Mix {...props} />
      <MixAction {...props} />
    </>,
  );
  expect(screen.getByText('Weigh 322 g base, 40.2 g hardener.')).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('weigh-a'), '322');
  fireEvent.changeText(screen.getByTestId('weigh-b'), '30');
  expect(
    screen.getByText(/Wrong ratio\. Hardener 25 % short; 3 % is the most\. Add 10\.3 g hardener\./),
  ).toBeTruthy();
  fireEvent.press(screen.getByTestId('batch-start'));
  expect(sent).toEqual([]);
  fireEvent.changeText(screen.getByTestId('weigh-b'), '40');
  fireEvent.press(screen.getByTestId('batch-start'));
  expect(sent).toEqual([{ type: 'mix.start', batchNo: 1, aG: 322, bG: 40, lot: '' }]);
});

test('the scale of the weights is recorded with the batch; typed weights have none', () => {
  const { sent, props } = opened(
    met(fresh, ['prep', 'mix'], new Date(Date.now() - 1_800_000).toISOString()),
  );
  const store = show(
    <>
      <Mix {...props} />
      <MixAction {...props} />
    </>,
  );
  const weigh = (scale: string) =>
    act(() => {
      for (const [part, text] of [
        ['a', '322'],
        ['b', '40'],
        ['scale', scale],
      ])
        store.dispatch(textTyped({ key: `${fresh.id}/weigh/${part}`, text: String(text) }));
    });
  weigh('Pail scale, simulated');
  fireEvent.press(screen.getByTestId('batch-start'));
  weigh('Pail scale, simulated');
  fireEvent.changeText(screen.getByTestId('weigh-b'), '40.1');
  fireEvent.press(screen.getByTestId('batch-start'));
  const batch = { type: 'mix.start', batchNo: 1, aG: 322, lot: '' };
  expect(sent).toEqual([
    { ...batch, bG: 40, instrument: 'Pail scale, simulated' },
    { ...batch, bG: 40.1 },
  ]);
});

test('a card shows what decides, its condition, and the change to try', () => {
  const [scored] = rank(
    matchAll({ ...survey, window: { ...survey.window, downMin: 600 } }, [card], { site }),
    'lasting',
  );
  if (!scored) throw new Error('no match');
  const tried: string[] = [];
  show(
    <MatchCard
      scored={scored}
      selected
      stop={0}
      why={{ text: 'it holds longer', values: {} }}
      onSelect={() => undefined}
      onTry={(relax) => tried.push(`${relax.path}=${relax.text}`)}
      compared={false}
      onCompare={null}
    />,
  );
  expect(screen.getByText('First: it holds longer.')).toBeTruthy();
  fireEvent.press(screen.getByText(/All reasons, and what would change it/));
  fireEvent.press(screen.getByTestId('try-R-100-window'));
  expect(tried).toEqual([expect.stringMatching(/^readings\.surfaceC=\d+ °C$/)]);
  expect(judge(survey, card, { site }).verdict).toBe('fits');
});

test('a rejected command shows both states and is only deleted by its author', () => {
  const theirs = { ...fresh, survey: { ...survey, window: { ...survey.window, downMin: 2400 } } };
  const command: Command = {
    id: '1',
    repairId: fresh.id,
    at: '2026-11-24T08:00:00Z',
    type: 'survey.save',
    expect: 1,
    survey,
  };
  show(
    <RejectedCommands
      waiting={[
        {
          ...{ id: '1', seq: 1, by: null, aheadMs: 0, tries: 0, command },
          refused: { type: 'about:blank', title: 'Someone changed this repair', status: 409 },
          current: theirs,
        },
      ]}
    />,
  );
  expect(screen.getByText('Down for: 2400 stored, 1440 yours')).toBeTruthy();
  expect(screen.getByLabelText('Delete the survey')).toBeTruthy();
});

test('coats are planned, wet, curing and set as time passes', () => {
  const start = Date.parse('2026-11-24T10:00:00Z');
  const mix = {
    id: 'm',
    batchNo: 1,
    aG: 1,
    bG: 1,
    deviationPct: 0,
    inTolerance: true,
    lot: '',
    startedAt: new Date(start).toISOString(),
    placedAt: null,
    binnedAt: null,
    ...ida,
  };
  const at = (minutes: number) =>
    coatStates(plan, { ...fresh, mixes: [mix] }, start + minutes * 60_000);
  expect([coatStates(plan, fresh, start), at(10), at(100), at(700)]).toEqual([
    ['planned'],
    ['wet'],
    ['curing'],
    ['set'],
  ]);
});

test('strip, section and scale have text for screen readers', () => {
  const start = Date.parse('2026-11-24T10:00:00Z');
  const summary = planSummaryOf(plan);
  const [round] = summary.rounds;
  if (!round) throw new Error('a plan has a round');
  const strip = stripOf(summary, round, start);
  const axis = axisOf({
    from: start,
    nearTo: strip.end,
    to: strip.end,
    width: 300,
    nearShare: 1,
    zone: 'UTC',
  });
  const [damage] = survey.damages;
  if (!damage) throw new Error('no damage');
  const drawing = drawSection('F2', damage, {
    width: 358,
    height: 200,
    system: 'metric',
    tag: 'P-1',
    material: 'cast-iron',
    medium: null,
    layers: ['planned', 'wet', 'curing', 'set'],
    edgeMm: 3,
    label: 'R-100',
    dimensions: true,
    unknown: [],
  });
  const picked: string[] = [];
  show(
    <>
      <CureStrip strip={strip} axis={axis} now={start + 60_000} height={14} withWindow />
      <SectionView drawing={drawing} />
      <StationScale width={360} current="match" reached="mix" onPick={(s) => picked.push(s)} />
      <Cautions plan={plan} />
    </>,
  );
  expect(
    screen.getByTestId('cure-strip').props['aria-label'] ??
      screen.getByTestId('cure-strip').props.accessibilityLabel,
  ).toMatch(/^Mixed .*, wet\. Place by/);
  expect(
    screen.getByTestId('section').props['aria-label'] ??
      screen.getByTestId('section').props.accessibilityLabel,
  ).toMatch(/200 × 100 mm across, 10 mm deep, wall 40 mm, 30 mm left/);
  fireEvent.press(screen.getByLabelText('Station 6, Cure'));
  expect(picked).toEqual(['cure']);
  fireEvent.press(screen.getByLabelText(/^Cautions, \d+$/));
  expect(screen.getByText(/The hardener can cause an allergy for life/)).toBeTruthy();
});
