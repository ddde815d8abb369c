import type { Command, RepairView } from '@kelmot/contract';
import { applyCommand } from '@kelmot/contract';
import { m } from '@kelmot/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import { Story } from '@/features/stations/Story';
import { AT, ID, ida, HERS, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore } from './opened';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ router: { navigate: (to: string) => mockNavigate(to) } }));

const fresh = viewOf(planOf());
const tick = (note: string, done = true): Command => ({
  ...{ type: 'check.set', id: note, repairId: ID, at: AT, stepId: 'isolate' },
  ...{ batchNo: null, done, note },
});
const laid = (...commands: Command[]): RepairView =>
  commands.reduce((v, c) => applyCommand(v, c, HERS), fresh);
const show = (view: RepairView) =>
  render(
    <Provider store={freshStore()}>
      <Story view={view} />
    </Provider>,
  );
const toggle = (label: RegExp) => fireEvent.press(screen.getByRole('button', { name: label }));

test('without records the story is empty', () => {
  show(fresh);
  expect(screen.queryByTestId('story')).toBeNull();
});

test('folded it counts its lines; open it shows each, with limit and person', () => {
  show(
    laid(tick('Lock 14.'), {
      ...{ type: 'reading.add', id: 'r', repairId: ID, at: AT, stepId: 'grade' },
      values: { kind: 'reading', value: 120 },
    }),
  );
  expect(screen.queryByText('Lock 14.')).toBeNull();
  toggle(/^The record, 2 lines$/);
  expect(screen.getByText('Lock 14.')).toBeTruthy();
  expect(screen.getByText('Stop: 120 µm; 100 µm is the most.')).toBeTruthy();
  expect(screen.getByText(/^Limit 60 µm to 100 µm\. .*, Ida$/)).toBeTruthy();
  expect(screen.getByText(/^Stop\./, { exact: false })).toBeTruthy();
});

test('undone ticks and earlier plans are marked', () => {
  const earlier = {
    ...{ id: 'e', plan: 1, by: 'Tomas', at: AT },
    ...{ title: m('Degrease'), say: null, limit: null, mark: null },
  };
  show({ ...laid(tick('', false)), earlier: [earlier] });
  toggle(/^The record, 2 lines, 1 of earlier plans$/);
  expect(screen.getByText(/Undone\./)).toBeTruthy();
  expect(screen.getByText(/Tomas, plan 1$/)).toBeTruthy();
});

test('an approval by a typed name is marked as not verified', () => {
  const values = { kind: 'approval', name: 'N. Body', reference: 'Q', account: null } as const;
  const reading = { id: 'a', stepId: 'isolate', values, passed: true, say: m('ok'), takenAt: AT };
  show({ ...fresh, readings: [{ ...reading, ...ida }] });
  toggle(/^The record, 1 line$/);
  expect(screen.getByText(/Not verified\./)).toBeTruthy();
});

test('its papers are one press away', () => {
  show(laid(tick('Lock 14.')));
  toggle(/^The record/);
  fireEvent.press(screen.getByTestId('record-papers'));
  expect(mockNavigate).toHaveBeenCalledWith(`/papers/${ID}`);
});
