import type { Me, RepairView } from '@kelmot/contract';
import { m, type Hold, type Plan, type Step } from '@kelmot/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { KeyFigures } from '@/features/stations/KeyFigures';
import { Outlook } from '@/features/stations/Outlook';
import { StepList } from '@/features/stations/Steps';
import { Supplies } from '@/features/stations/Supplies';
import { shelfText } from '@/features/store/Shelf';
import { chosenFile } from '@/offline/chosenFile';
import { AT, ID, ida, IDA, planOf, viewOf } from '../../../packages/contract/test/view';

import { freshStore, noted } from './opened';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));
jest.mock('@/offline/chosenFile', () => ({ chosenFile: jest.fn() }));

const plan = planOf();
const first = plan.steps[0] as Step;

function show(element: ReactElement) {
  const store = freshStore();
  render(<Provider store={store}>{element}</Provider>);
}

/** A repair whose plan asks for one hold at Prep, and the commands that meet it. */
function asking(hold: Hold, readings: RepairView['readings'] = [], canWrite = true, me: Me = IDA) {
  const asked: Plan = { ...plan, steps: [{ ...first, id: 'it', hold }] };
  const view = { ...viewOf(asked), readings };
  const { sent, repair } = noted(view, canWrite, me);
  show(<StepList station="prep" view={view} plan={asked} repair={repair} />);
  return sent;
}

test('a wait starts once and runs from then', () => {
  const sent = asking({ kind: 'countdown', label: m('Flashing off'), minutes: 15 });
  fireEvent.press(screen.getByText('Start: Flashing off, 15 min'));
  expect(sent).toEqual([{ type: 'reading.add', stepId: 'it', values: { kind: 'countdown' } }]);
});

test('a running wait shows its end; a finished one needs nothing more', () => {
  const begun = (takenAt: string): RepairView['readings'] => [
    {
      id: ID,
      stepId: 'it',
      values: { kind: 'countdown' },
      passed: true,
      say: m(''),
      takenAt,
      ...ida,
    },
  ];
  const hold = { kind: 'countdown', label: m('Flashing off'), minutes: 15 } as const;
  asking(hold, begun(new Date().toISOString()));
  expect(screen.getByText('Start it again')).toBeTruthy();
  screen.unmount();
  asking(hold, begun('2020-01-01T00:00:00Z'));
  expect(screen.queryByTestId('start-it')).toBeNull();
});

test('an approval needs a name and a document, and keeps what was typed until it has both', () => {
  const sent = asking({ kind: 'approval', who: 'pressure-engineer' });
  fireEvent.press(screen.getByTestId('approve-it'));
  expect(screen.getByText(/Type the name of who approved/)).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('name-it'), 'R. Example');
  fireEvent.press(screen.getByTestId('approve-it'));
  expect(screen.getByText(/Type where it is written/)).toBeTruthy();
  expect(screen.getByTestId('name-it').props.value).toBe('R. Example');
  fireEvent.changeText(screen.getByTestId('reference-it'), 'Calc 12');
  fireEvent.press(screen.getByTestId('approve-it'));
  expect(sent).toEqual([
    {
      type: 'reading.add',
      stepId: 'it',
      values: { kind: 'approval', name: 'R. Example', reference: 'Calc 12', account: null },
    },
  ]);
});

test('an authorised person is not asked for a name, and gives their own', () => {
  const orla: Me = { ...IDA, id: 'orla', name: 'Orla Venn', approves: ['pressure-engineer'] };
  const sent = asking({ kind: 'approval', who: 'pressure-engineer' }, [], true, orla);
  expect(screen.getByText('You approve this, Orla Venn')).toBeTruthy();
  expect(screen.queryByTestId('name-it')).toBeNull();
  fireEvent.changeText(screen.getByTestId('reference-it'), 'Calc 12');
  fireEvent.press(screen.getByTestId('approve-it'));
  expect(sent).toMatchObject([{ values: { name: 'Orla Venn', reference: 'Calc 12' } }]);
  screen.unmount();
  asking({ kind: 'approval', who: 'structural-engineer' }, [], true, orla);
  expect(screen.getByTestId('name-it')).toBeTruthy();
});

test('thicknesses are read in the present unit; invalid ones show an error', () => {
  const sent = asking({ kind: 'thickness', targetMm: 2, minReadings: 3, leastShare: 0.8 });
  fireEvent.changeText(screen.getByTestId('reading-it'), '2.1 thick 2.2');
  fireEvent.press(screen.getByTestId('record-it'));
  expect(screen.getByText(/Type thicknesses in mm/)).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('reading-it'), '2.1 2.2 1.9');
  fireEvent.press(screen.getByTestId('record-it'));
  expect(sent).toEqual([
    { type: 'reading.add', stepId: 'it', values: { kind: 'thickness', valuesMm: [2.1, 2.2, 1.9] } },
  ]);
});

test('a viewer cannot start, record or photograph', () => {
  asking({ kind: 'photo', label: m('The leak') }, [], false);
  expect(screen.getByTestId('photo-it').props.accessibilityState).toMatchObject({ disabled: true });
});

test('key figures are those that the steps name, each once, without zeros', () => {
  show(<KeyFigures plan={plan} station="build" />);
  expect(screen.getByText('Coats')).toBeTruthy();
  screen.unmount();
  show(<KeyFigures plan={{ ...plan, steps: [] }} station="build" />);
  expect(screen.toJSON()).toBeNull();
});

test('a low chance shows what would raise it; a good one does not', () => {
  const poor = plan.figures.readiness;
  if (!poor) throw new Error('no chance');
  const raise = [m('Hold it at 25 °C: 5 h instead of 8 h.')];
  const withChance = (value: number): Plan => ({
    ...plan,
    raise,
    figures: { ...plan.figures, readiness: { ...poor, value } },
  });
  show(<Outlook plan={withChance(60)} isBegun={false} />);
  expect(screen.getByText(/Hold it at 25/)).toBeTruthy();
  screen.unmount();
  show(<Outlook plan={withChance(99)} isBegun={false} />);
  expect(screen.queryByText(/Hold it at 25/)).toBeNull();
  screen.unmount();
  // Once the job has begun, its own clock shows the time: the chance was for the plan.
  show(<Outlook plan={withChance(60)} isBegun />);
  expect(screen.queryByText(/Hold it at 25/)).toBeNull();
  expect(screen.queryByTestId('figure-readiness')).toBeNull();
});

test('supplies show lot or purchase, leftover, and what to do with it', () => {
  const [system] = plan.supplies;
  if (!system) throw new Error('no supplies');
  const picks = [
    { ...system.picks[0], id: 'p', label: '500 ml pack', count: 2, price: 9, lot: 'L7' },
  ];
  show(
    <Supplies
      plan={{ ...plan, supplies: [{ ...system, picks, leftover: 40 }] }}
      drawFor={{ repairId: ID, planId: ID }}
    />,
  );
  expect(screen.getByText(/2 × 500 ml pack, lot L7/)).toBeTruthy();
  expect(screen.getByText(/40 ml left over\. Close it\./)).toBeTruthy();
  expect(screen.getByTestId('take-off-shelf')).toBeTruthy();
});

test('the shelf counts usable packs and expired ones separately', () => {
  const lot = (expiresOn: string, count: number) => ({
    id: ID,
    cardCode: 'R-100',
    packId: 'p',
    lot: expiresOn,
    expiresOn,
    count,
  });
  const now = Date.parse(AT);
  expect(shelfText([], now)).toBe('none on the shelf');
  expect(shelfText([lot('2027-01-01', 3)], now)).toBe('3 on the shelf');
  expect(shelfText([lot('2027-01-01', 3), lot('2026-01-01', 2)], now)).toBe(
    '3 on the shelf, 2 past their date',
  );
});

test('readings from a file are put into the box for review; an error names its row', async () => {
  const sent = asking({ kind: 'thickness', targetMm: 4, minReadings: 3, leastShare: 0.8 });
  const file = (text: string) => ({ text: () => Promise.resolve(text) }) as File;
  const choose = (text: string) => {
    jest.mocked(chosenFile).mockResolvedValueOnce(file(text));
    fireEvent.press(screen.getByTestId('file-it'));
  };
  choose('No,mm\n1,4.1\n2,thin');
  await waitFor(() => screen.getByText('Row 3: “thin” is not a reading.'));
  expect(screen.getByTestId('reading-it').props.value).toBe('');
  choose('No,mm\n1,4.1\n2,4.3\n3,4.2');
  await waitFor(() => expect(screen.getByTestId('reading-it').props.value).toBe('4.1 4.3 4.2'));
  expect(screen.queryByTestId('file-wrong-it')).toBeNull();
  expect(sent).toEqual([]);
  fireEvent.press(screen.getByTestId('record-it'));
  expect(sent).toEqual([
    expect.objectContaining({ values: { kind: 'thickness', valuesMm: [4.1, 4.3, 4.2] } }),
  ]);
});

test('a single figure has no file import', () => {
  asking({ kind: 'reading', label: m('Depth'), quantity: 'length', min: 3, max: null });
  expect(screen.queryByTestId('file-it')).toBeNull();
});
