import { act, render, screen } from '@testing-library/react-native';
import { wrap } from 'comlink';
import { Text } from 'react-native';
import { lazyComponent } from '@/shared/laterChunk/lazyComponent';
import { makePaper } from '@/offline/workers/makePaper';

jest.mock('comlink', () => ({ wrap: jest.fn() }));

test('a lazy part shows once loaded, with its props', async () => {
  const Named = ({ tag }: { tag: string }) => <Text>{`all of ${tag}`}</Text>;
  const Part = lazyComponent(async () => Named);
  render(<Part tag="P-204" />);
  expect(screen.queryByText('all of P-204')).toBeNull();
  await act(async () => undefined);
  expect(screen.getByText('all of P-204')).toBeTruthy();
});

test('a lazy part that cannot be loaded says so', async () => {
  const Part = lazyComponent(() => Promise.reject(new Error('no signal')));
  render(<Part />);
  await act(async () => undefined);
  expect(screen.getByText(/not on the device yet, and there is no signal/)).toBeTruthy();
});

describe('a paper', () => {
  const worker = { onerror: null as (() => void) | null, terminate: jest.fn() };
  const start = () => worker as unknown as Worker;
  beforeEach(() => worker.terminate.mockClear());
  const papers = { pickingList: async () => 'a list' };
  beforeEach(() => jest.mocked(wrap).mockReturnValue(papers as never));

  test('is made by its own worker, which then ends', async () => {
    expect(await makePaper((p) => p.pickingList(undefined as never, 'metric'), start)).toBe(
      'a list',
    );
    expect(worker.terminate).toHaveBeenCalledTimes(1);
  });
  test('that cannot be made reports why, and its worker ends', async () => {
    const fault = new Error('no such card');
    await expect(makePaper(() => Promise.reject(fault), start)).rejects.toBe(fault);
    expect(worker.terminate).toHaveBeenCalledTimes(1);
  });
  test('whose worker is not on the device reports it at once', async () => {
    const making = makePaper(() => new Promise(() => undefined), start);
    worker.onerror?.();
    await expect(making).rejects.toThrow('not on the device');
    expect(worker.terminate).toHaveBeenCalledTimes(1);
  });
});
