import {
  CURE,
  runningOf,
  type Command,
  type CureValues,
  type RepairView,
  type Site,
} from '@kelmot/contract';
import { HOUR, MINUTE, planBatches, word } from '@kelmot/core';
import { cureReason, cureFigures, cureDelayText } from '@kelmot/core/run/cureText';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { Cure } from '@/features/stations/Cure';
import { chosenFile } from '@/offline/chosenFile';
import { api } from '@/store/api';
import { misbehaviourChosen } from '@/store/settings';
import { ID, ida, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore, noted } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));
jest.mock('@/offline/chosenFile', () => ({ chosenFile: jest.fn() }));
const mockChosen = jest.mocked(chosenFile);

const plan = planOf();
const NOW = Date.now();
const MIXED = NOW - 3 * HOUR;
const mixedAt = new Date(MIXED).toISOString();
const surfaceC = plan.survey.readings.surfaceC;

function cured(values: CureValues[] = [], at = mixedAt): RepairView {
  return {
    ...viewOf(plan),
    station: 'cure',
    mixes: planBatches(plan).map((b) => ({
      ...{ id: `m${b.no}`, batchNo: b.no, aG: 1, bG: 1, deviationPct: 0, inTolerance: true },
      ...{ lot: '', startedAt: mixedAt, placedAt: mixedAt, binnedAt: null, ...ida },
    })),
    readings: values.map((v, i) => ({
      ...{ id: `r${i}`, stepId: CURE, values: v, passed: v.kind !== 'nail' || !v.marks },
      ...{ say: { text: '', values: {} }, takenAt: at, ...ida },
    })),
  };
}
const typed = (tempC: number, at = mixedAt): CureValues => ({
  kind: 'temperatures',
  from: at,
  rows: [{ atMin: 0, tempC }],
});

async function show(view: RepairView, canWrite = true) {
  globalThis.fetch = () => new Promise(() => undefined);
  const store = freshStore();
  const known: Site = { id: ID, settings: plan.site, instruments: 'simulated' };
  await store.dispatch(api.util.upsertQueryData('site', undefined, known));
  const { sent, repair } = noted(view, canWrite);
  render(
    <Provider store={store}>
      <Cure id={ID} view={view} plan={plan} repair={repair} />
    </Provider>,
  );
  const values = () =>
    (sent.at(-1) as Extract<Command, { type: 'reading.add' }> | undefined)?.values;
  return { store, sent, values };
}
const tap = (id: string) => act(() => void fireEvent.press(screen.getByTestId(id)));
const type = (id: string, text: string) =>
  act(() => void fireEvent.changeText(screen.getByTestId(id), text));

test('a typed temperature is recorded for the cure; an invalid one shows its error and stays', async () => {
  const { sent, values } = await show(cured());
  expect(screen.queryByTestId('cure-learnt')).toBeNull();
  for (const [text, said] of [
    ['', /Type|number/],
    ['300', 'Must be -60 °C to 250 °C.'],
    ['-61', 'Must be -60 °C to 250 °C.'],
  ] as const) {
    type('cure-temp', text);
    tap('cure-temp-record');
    if (typeof said === 'string') expect(screen.getByText(said.replace('-60', '−60'))).toBeTruthy();
    expect(screen.getByTestId('cure-temp').props.value).toBe(text);
  }
  expect(sent).toEqual([]);
  type('cure-temp', '54 F');
  tap('cure-temp-record');
  expect(sent).toEqual([expect.objectContaining({ type: 'reading.add', stepId: CURE })]);
  const sentValues = values();
  expect(sentValues?.kind === 'temperatures' && sentValues.rows[0]?.tempC).toBeCloseTo(12.222, 2);
  expect(screen.getByTestId('cure-temp').props.value).toBe('');
});

test('the effect of the readings shows its reason, share and time, each with its working', async () => {
  await show(cured([typed(surfaceC - 8)]));
  expect(screen.getByText(/min late|h late/)).toBeTruthy();
  expect(screen.getByText(/assumed to continue/)).toBeTruthy();
  expect(screen.getByTestId('figure-cure.share')).toBeTruthy();
  expect(screen.getByTestId('figure-cure.takes')).toBeTruthy();
});

test('the logger is read since mixing, and its new readings are recorded; a drifting one cannot be used', async () => {
  const until = new Date(MIXED + HOUR).toISOString();
  const before: CureValues = {
    kind: 'temperatures',
    from: mixedAt,
    rows: [
      { atMin: 0, tempC: 17 },
      { atMin: 60, tempC: 17 },
    ],
    instrument: 'Cure logger, simulated',
  };
  const { store, sent, values } = await show(cured([before], until));
  tap('read-logger');
  await waitFor(() => screen.getByTestId('instrument-take'));
  tap('instrument-take');
  const found = values();
  if (found?.kind !== 'temperatures') throw new Error('nothing was recorded');
  expect(found.instrument).toBe('Cure logger, simulated');
  expect(Date.parse(found.from)).toBeGreaterThan(MIXED + HOUR);
  expect(Date.parse(found.from)).toBeLessThan(MIXED + HOUR + 10 * MINUTE);
  expect(found.rows.every((r) => r.otherC !== undefined)).toBe(true);
  await act(() => void store.dispatch(misbehaviourChosen({ id: 'logger', how: 'wrong-unit' })));
  tap('read-logger');
  await waitFor(() => screen.getByText(/value looks like °F/));
  expect(screen.getByTestId('instrument-take')).toBeDisabled();
  tap('instrument-take');
  expect(sent).toHaveLength(1);
});

test('a log file is previewed before it is recorded; an error names its row', async () => {
  const { values, sent } = await show(cured());
  tap('cure-more');
  const file = (text: string) => ({ name: 'spot.csv', text: () => Promise.resolve(text) }) as File;
  mockChosen.mockResolvedValueOnce(file('0,20\n30,warm'));
  tap('log-file');
  await waitFor(() => screen.getByText(/^Row 2: “warm” is not a temperature/));
  mockChosen.mockResolvedValueOnce(file('min,°C\n0,18\n60,12'));
  tap('log-file');
  await waitFor(() => screen.getByText(/^12 °C to 18 °C over 1 h.*, 2 readings\.$/));
  expect(sent).toEqual([]);
  expect(screen.queryByTestId('log-wrong')).toBeNull();
  tap('instrument-take');
  expect(values()).toMatchObject({
    kind: 'temperatures',
    rows: [
      { atMin: 0, tempC: 18 },
      { atMin: 60, tempC: 12 },
    ],
  });
});

test('heating is ticked on and off; a sample is tested by fingernail or durometer', async () => {
  const { values } = await show(cured([{ kind: 'heat', by: 'lamp', on: true }]));
  tap('cure-more');
  expect(screen.getByTestId('warmer-lamp')).toBeChecked();
  tap('warmer-lamp');
  expect(values()).toEqual({ kind: 'heat', by: 'lamp', on: false });
  tap('warmer-heater');
  expect(values()).toEqual({ kind: 'heat', by: 'heater', on: true });
  tap('sample-hard');
  expect(values()).toEqual({ kind: 'nail', marks: false });
  tap('sample-soft');
  expect(values()).toEqual({ kind: 'nail', marks: true });
  type('cure-shore', '101');
  tap('cure-shore-record');
  expect(screen.getByText('Type a hardness from 0 to 100.')).toBeTruthy();
  type('cure-shore', '84');
  tap('cure-shore-record');
  expect(values()).toEqual({ kind: 'shore', value: 84 });
});

test('a viewer sees the cure and cannot record', async () => {
  await show(cured([typed(surfaceC - 8)]), false);
  expect(screen.getByTestId('cure-learnt')).toBeTruthy();
  expect(screen.queryByTestId('cure-temp')).toBeNull();
});

test('cure texts: as planned, early, no cure, and far too soft', () => {
  const said = (values: CureValues[], at?: string) => {
    const run = runningOf(cured(values, at))?.main;
    if (!run) throw new Error('nothing was learned');
    return [
      word(cureDelayText(run)),
      word(cureReason(run, NOW, 'UTC')),
      cureFigures(run, NOW),
    ] as const;
  };
  expect(said([typed(surfaceC)])[0]).toBe('As planned');
  expect(said([typed(surfaceC + 5)])[0]).toMatch(/ early$/);
  const cold = said([typed(-40)]);
  expect([cold[0], cold[1]]).toEqual([
    'It does not cure',
    expect.stringMatching(/^−40 °C at .*: too cold for this card\. Heat it\.$/),
  ]);
  expect(cold[2].share.value).toBe(0);
  const soft = said([{ kind: 'nail', marks: true }], new Date(MIXED + 1000 * HOUR).toISOString());
  expect(soft[1]).toMatch(/times as long as the card says\. Heat it and wait\./);
  const tack = plan.rounds
    .find((r) => r.id === plan.mainRound)
    ?.milestones.find((x) => x.id === 'tackFree')?.minutes;
  const bit = said(
    [{ kind: 'nail', marks: true }],
    new Date(MIXED + 2 * (tack ?? 0) * MINUTE).toISOString(),
  );
  expect(bit[1]).toMatch(/takes 2\.0 times as long as the card says\.$/);
  const half = runningOf(cured([typed(surfaceC)]))?.main;
  const sum = half && cureFigures(half, MIXED + (half.minutes / 2) * MINUTE);
  expect(sum?.share.value).toBeCloseTo(50, 6);
  expect(sum?.share.working.at(-1)?.value).toBe(sum?.share.value);
  const done = said([typed(surfaceC), typed(surfaceC, new Date(MIXED + 900 * HOUR).toISOString())]);
  expect(done[1]).toBe('The cure is complete by its temperatures.');
  expect(done[2].share.value).toBe(100);
});
