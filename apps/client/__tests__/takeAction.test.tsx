import { fireEvent, render, screen } from '@testing-library/react-native';
import { router } from 'expo-router';
import type { ComponentProps } from 'react';
import { TakeAction } from '@/features/match/TakeAction';
import { ID } from '../../../packages/contract/test/view';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

/** The main button of Match, with the calls that it makes. */
function shown(props: Partial<ComponentProps<typeof TakeAction>>) {
  const take = jest.fn();
  const taking = { take, next: jest.fn(), asking: null, go: jest.fn(), stay: jest.fn() };
  const usual = { id: ID, code: 'R-210', canWrite: true, state: 'open' as const, taking };
  render(<TakeAction {...usual} {...props} />);
  return take;
}
const press = () => fireEvent.press(screen.getByTestId('take'));
const wentTo = () => jest.mocked(router.navigate).mock.calls.map(([to]) => to);
beforeEach(() => jest.mocked(router.navigate).mockClear());

test('the selected card is used', () => {
  const take = shown({});
  expect(screen.getByText('Use R-210, go to Prep')).toBeTruthy();
  press();
  expect(take).toHaveBeenCalledTimes(1);
});

test.each([
  ['nobody may write', { canWrite: false }, 'Use R-210, go to Prep'],
  ['no card fits', { code: undefined }, /No material fits/],
  ['a change is tried', { state: 'trial' as const }, /Keep or undo the change/],
])('nothing is used while %s, and the button says why', (_, props, label) => {
  const take = shown(props);
  expect(screen.getByText(label)).toBeTruthy();
  press();
  expect(take).not.toHaveBeenCalled();
});

test('once mixing has begun it leads on to Prep and plans nothing', () => {
  const take = shown({ state: 'begun' });
  press();
  expect([take.mock.calls.length, wentTo()]).toEqual([0, [`/repair/${ID}/prep`]]);
});

test('a damage that needs another specialist leads to the referral; the card comes second', () => {
  const take = shown({ state: 'refused' });
  fireEvent.press(screen.getByTestId('referral'));
  expect([take.mock.calls.length, wentTo()]).toEqual([0, [`/referral/${ID}`]]);
  press();
  expect(take).toHaveBeenCalledTimes(1);
});

test('a damage that needs another specialist offers no card to a viewer', () => {
  shown({ state: 'refused', canWrite: false });
  expect(screen.queryByTestId('take')).toBeNull();
});
