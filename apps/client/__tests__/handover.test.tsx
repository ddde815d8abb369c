import type { Command, RepairView } from '@kelmot/contract';
import { fireEvent, render, screen } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { HandoverScreen } from '@/features/run/HandoverScreen';
import { AT, IDA, ida, planOf, viewOf } from '../../../packages/contract/test/view';
import { freshStore, noted } from './opened';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ router: { navigate: (to: string) => mockNavigate(to) } }));
jest.mock('@/shared/ui/useZone', () => ({ useZone: () => 'UTC' }));
jest.mock('@/shared/repair/RepairAside', () => ({ RepairAside: () => null }));
jest.mock('@/features/frame/StationFrame', () => ({
  StationFrame: ({ children, action }: { children: ReactNode; action: ReactNode }) => (
    <>
      {children}
      {action}
    </>
  ),
}));

const TOMAS = { ...IDA, id: 'tomas', name: 'Tomas' };
const fresh = viewOf(planOf());

function show(view: RepairView, { me = IDA, canWrite = true } = {}): Partial<Command>[] {
  const { sent, repair } = noted(view, canWrite, me);
  render(
    <Provider store={freshStore()}>
      <HandoverScreen view={view} repair={repair} />
    </Provider>,
  );
  return sent;
}

const parts = [{ part: 'stands' as const, lines: ['3 of 25 done.'] }];
/** The handover that Ida wrote. */
const left: RepairView = {
  ...fresh,
  readings: [
    {
      ...{ id: 'h', stepId: 'handover', passed: true, say: { text: '', values: {} } },
      ...{ values: { kind: 'handed-over', parts, note: 'Key at the gate.' }, takenAt: AT, ...ida },
    },
  ],
};

beforeEach(() => mockNavigate.mockClear());

test('a handover is saved in the words shown, with the typed note', () => {
  const sent = show(fresh);
  fireEvent.changeText(screen.getByTestId('handover-note'), ' Key at the gate. ');
  fireEvent.press(screen.getByTestId('hand-over'));
  expect(sent).toEqual([
    {
      type: 'reading.add',
      stepId: 'handover',
      values: {
        kind: 'handed-over',
        note: 'Key at the gate.',
        parts: [
          {
            part: 'stands',
            lines: [
              expect.stringMatching(/^0 of \d+ done\. Next, at Prep: Isolate and make safe\.$/),
            ],
          },
        ],
      },
    },
  ]);
  expect(screen.getByTestId('handover-note').props.value).toBe('');
  fireEvent.press(screen.getByTestId('handover-go-on'));
  expect(mockNavigate).toHaveBeenCalledWith(`/repair/${fresh.id}/run`);
});

test('the next person reads the handover and takes over', () => {
  const sent = show(left, { me: TOMAS });
  expect(screen.getByText('Handed over by Ida, 09:00 Tue')).toBeTruthy();
  expect(screen.getByText('Key at the gate.')).toBeTruthy();
  expect(screen.getByText('3 of 25 done.')).toBeTruthy();
  expect(screen.queryByTestId('hand-over')).toBeNull();
  fireEvent.press(screen.getByTestId('take-over'));
  expect(sent).toEqual([
    { type: 'reading.add', stepId: 'handover', values: { kind: 'taken-over' } },
  ]);
  expect(mockNavigate).toHaveBeenCalledWith(`/repair/${fresh.id}/run`);
});

test('the author sees that the handover is saved, and can hand over again', () => {
  show(left);
  expect(screen.getByText(/^Handed over 09:00 Tue, saved in the record\./)).toBeTruthy();
  expect(screen.getByTestId('handed-over').props.role).toBe('status');
  expect(screen.queryByText('3 of 25 done.')).toBeNull();
  expect(screen.getByText('Hand over again with the present state')).toBeTruthy();
  expect(screen.queryByTestId('take-over')).toBeNull();
});

test('a viewer reads a handover and cannot hand over; nor is a closed or unplanned repair handed over', () => {
  show(left, { me: TOMAS, canWrite: false });
  expect(screen.getByText('3 of 25 done.')).toBeTruthy();
  expect(screen.queryByTestId('take-over')).toBeNull();
  for (const view of [
    { ...fresh, plan: null },
    { ...fresh, status: 'closed' as const },
  ]) {
    show(view);
    expect(screen.queryByTestId('hand-over')).toBeNull();
  }
});
