import type { ShelfLot } from '@kelmot/contract';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { Provider } from 'react-redux';
import type { Viewfinder } from '@/features/codes/Viewfinder';
import { LotField } from '@/features/stations/LotField';
import { hasCamera } from '@/offline/camera';
import { scanCode, type Scanned } from '@/offline/scanCode';
import { api } from '@/store/api';
import { ID } from '../../../packages/contract/test/view';
import { freshStore } from './opened';

jest.mock('@/offline/scanCode', () => ({ scanCode: jest.fn() }));
jest.mock('@/offline/camera', () => ({ hasCamera: jest.fn(() => Promise.resolve(false)) }));
/** The open viewfinder, with the props that the field gave it. */
let mockOpen: Parameters<typeof Viewfinder>[0] | null = null;
jest.mock('@/features/codes/Viewfinder', () => ({
  Viewfinder: (props: Parameters<typeof Viewfinder>[0]) => {
    mockOpen = props;
    return null;
  },
}));

const DAY = 86_400_000;
const day = (days: number): string => new Date(Date.now() + days * DAY).toISOString().slice(0, 10);
const lotOf = (lot: string, expiresOn: string, cardCode = 'R-100'): ShelfLot => ({
  ...{ id: ID, cardCode, packId: `${cardCode}/500`, lot, expiresOn, count: 2 },
});

async function show(lots: ShelfLot[]) {
  globalThis.fetch = () => new Promise(() => undefined);
  const store = freshStore();
  await store.dispatch(api.util.upsertQueryData('shelf', undefined, lots));
  render(
    <Provider store={store}>
      <LotField keptAs="it/lot" cardCode="R-100" />
    </Provider>,
  );
}
const box = (): string => screen.getByTestId('lot').props.value as string;
async function scan(found: Scanned | null) {
  jest.mocked(scanCode).mockResolvedValueOnce(found);
  await act(async () => {
    fireEvent.press(screen.getByTestId('scan-lot'));
    await Promise.resolve();
  });
}

test('a lot is picked from the shelf with its expiry date; an expired one is reported', async () => {
  await show([lotOf('L7', day(200)), lotOf('L3', day(-2)), lotOf('X1', day(9), 'R-210')]);
  expect(screen.queryByTestId('lot-of-X1')).toBeNull();
  fireEvent.press(screen.getByTestId('lot-of-L7'));
  expect(box()).toBe('L7');
  expect(screen.getByText(/^L7 is good to /)).toBeTruthy();
  fireEvent.press(screen.getByTestId('lot-of-L3'));
  expect(screen.getByTestId('lot-over')).toBeTruthy();
  expect(screen.getByText(/^L3 was good to .*: do not mix it\.$/)).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('lot'), 'L9');
  expect(screen.queryByTestId('lot-over')).toBeNull();
});

test('a lot is good on its last day, and not later', async () => {
  await show([lotOf('L1', day(0)), lotOf('L0', day(-2))]);
  fireEvent.press(screen.getByTestId('lot-of-L1'));
  expect(screen.getByTestId('lot-good')).toBeTruthy();
});

test('a code is scanned for lot and date; the second pack is added, the same one only once', async () => {
  await show([]);
  await scan({ text: '(17)200131(10)A-1' });
  await waitFor(() => expect(box()).toBe('A-1'));
  expect(screen.getByText('A-1 was good to 31 Jan 2020: do not mix it.')).toBeTruthy();
  await scan({ text: 'B-2' });
  await waitFor(() => expect(box()).toBe('A-1 / B-2'));
  await scan({ text: 'B-2' });
  expect(box()).toBe('A-1 / B-2');
});

test('an unreadable code is reported, and nothing typed is lost', async () => {
  await show([]);
  fireEvent.changeText(screen.getByTestId('lot'), 'T-5');
  await scan({ error: 'No code was found in it.' });
  await waitFor(() => screen.getByText('No code was found in it.'));
  await scan({ text: 'https://example.org/shop' });
  await waitFor(() => screen.getByText('This code contains no lot. Type it from the pack.'));
  await scan(null);
  expect(box()).toBe('T-5');
});

test('with a camera the viewfinder opens; what it finds is used, and it closes', async () => {
  jest.mocked(hasCamera).mockResolvedValue(true);
  jest.mocked(scanCode).mockClear();
  await show([]);
  const press = () =>
    act(async () => {
      fireEvent.press(screen.getByTestId('scan-lot'));
      await Promise.resolve();
    });
  const finds = (text: string) => {
    let taken: boolean | undefined;
    act(() => void (taken = mockOpen?.found(text)));
    return taken;
  };
  await press();
  expect(finds('https://example.org/shop')).toBe(false);
  expect(screen.getByText('This code contains no lot. Type it from the pack.')).toBeTruthy();
  expect(finds('(17)200131(10)A-1')).toBe(true);
  expect(screen.queryByText(/says no lot/)).toBeNull();
  expect(box()).toBe('A-1');
  expect(scanCode).not.toHaveBeenCalled();
  await press();
  jest.mocked(scanCode).mockResolvedValueOnce({ text: 'B-2' });
  await act(async () => mockOpen?.picture());
  await waitFor(() => expect(box()).toBe('A-1 / B-2'));
});
