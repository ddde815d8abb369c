import type { DevicePerson, Me } from '@kelmot/contract';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { Pressable, View } from 'react-native';
import { Provider } from 'react-redux';
import { ID, IDA } from '../../../packages/contract/test/view';
import { People } from '@/features/signin/People';
import { api } from '@/store/api';
import { takenInHand } from '@/store/settings';
import { usePerson } from '@/store/usePerson';
import { useSend } from '@/store/useSend';
import { signalSeen } from '@/store/view';
import { freshStore } from './opened';

jest.mock('expo-router', () => ({ router: { replace: jest.fn() } }));

const known = (id: string, more: Partial<Me> = {}): DevicePerson => {
  const { username: _, ...person } = { ...IDA, id, name: id, ...more };
  return person;
};
const TOMAS = known('tomas', { role: 'planner', approves: ['pressure-engineer'] });
const STRANGER = known('stranger', { siteId: '00000000-0000-7000-8000-00000000ffff' });

/** The list of people in the settings, and a screen that records a tick. */
function Shown() {
  const person = usePerson();
  const send = useSend();
  const tick = { type: 'check.set', stepId: 's', done: true, note: '', planId: ID } as const;
  return (
    <View>
      <People here={person?.id} />
      <Pressable testID="tick" onPress={() => send({ ...tick, batchNo: null, repairId: ID })} />
    </View>
  );
}

async function shown(signal: boolean) {
  // The server never answers here.
  globalThis.fetch = () => new Promise(() => undefined);
  const store = freshStore();
  await store.dispatch(api.util.upsertQueryData('me', undefined, IDA));
  await store.dispatch(api.util.upsertQueryData('here', undefined, [TOMAS, STRANGER]));
  store.dispatch(signalSeen(signal));
  render(
    <Provider store={store}>
      <Shown />
    </Provider>,
  );
  const tap = (id: string) => act(() => void fireEvent.press(screen.getByTestId(id)));
  const authors = () => store.getState().outbox.queue.map((w) => w.by?.id);
  return { store, tap, authors };
}

test('without signal a person takes over the device by a known name, and what is done is theirs', async () => {
  const { store, tap, authors } = await shown(false);
  tap('tick');
  expect(screen.queryByTestId('person-stranger')).toBeNull();
  tap('person-tomas');
  expect(screen.queryByTestId('code')).toBeNull();
  tap('take-in-hand');
  expect(store.getState().settings.inHand).toEqual(TOMAS);
  tap('tick');
  expect(authors()).toEqual(['ida', 'tomas']);
  // The session is still hers: nothing is asked for, or kept, as another person.
  expect(api.endpoints.me.select()(store.getState()).data).toEqual(IDA);

  tap(`person-${IDA.name}`);
  tap('take-in-hand');
  expect(store.getState().settings.inHand).toBeNull();
  tap('tick');
  expect(authors()).toEqual(['ida', 'tomas', 'ida']);
});

test('with signal the code is asked for, also of who took the device over', async () => {
  const { store, tap } = await shown(true);
  tap('person-tomas');
  expect(screen.queryByTestId('take-in-hand')).toBeNull();
  expect(screen.getByTestId('come-in')).toBeTruthy();
  act(() => void store.dispatch(takenInHand(TOMAS)));
  expect(screen.getByTestId('come-in')).toBeTruthy();
});
