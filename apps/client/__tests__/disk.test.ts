import 'fake-indexeddb/auto';
import {
  dropAnswer,
  pruneAnswers,
  readAnswer,
  readEntries,
  writeAnswer,
  writeEntries,
} from '@/offline/disk';

const keep = async (...keys: string[]) => {
  for (const [i, key] of keys.entries()) await writeAnswer({ key, data: key, at: i });
};
const kept = async (...keys: string[]) => {
  const answers = await Promise.all(keys.map(readAnswer));
  return answers.flatMap((answer) => answer?.data ?? []);
};

test('entries are written together; one without a value is removed', async () => {
  await writeEntries([
    ['settings/theme/', 'night'],
    ['drafts/texts/aG', '120'],
  ]);
  await writeEntries([
    ['drafts/texts/aG', undefined],
    ['drafts/texts/bG', '30'],
  ]);
  expect(await readEntries()).toEqual([
    ['drafts/texts/bG', '30'],
    ['settings/theme/', 'night'],
  ]);
});

test('a write is committed at once, so that a reload loses nothing', async () => {
  const commit = jest.spyOn(IDBTransaction.prototype, 'commit');
  const put = jest.spyOn(IDBObjectStore.prototype, 'put');
  await writeEntries([['tools/dew-point/', '400']]);
  expect(commit).toHaveBeenCalledTimes(1);
  expect(commit.mock.invocationCallOrder[0]).toBeGreaterThan(put.mock.invocationCallOrder[0] ?? 0);
  expect(await readEntries()).toContainEqual(['tools/dew-point/', '400']);
  jest.restoreAllMocks();
});

test('entries that cannot be stored are not stored in part', async () => {
  const before = await readEntries();
  await expect(
    writeEntries([
      ['settings/units/', 'us'],
      ['settings/loud/', () => 'no disk holds this'],
    ]),
  ).rejects.toThrow();
  expect(await readEntries()).toEqual(before);
});

test('an answer replaces the previous one, until it is removed', async () => {
  await writeAnswer({ key: 'me', data: 'Ida', at: 1 });
  await writeAnswer({ key: 'me', data: 'Tomas', at: 2 });
  expect((await readAnswer('me'))?.data).toBe('Tomas');
  await dropAnswer('me');
  expect(await readAnswer('me')).toBeUndefined();
});

test('above the limit the oldest answers are removed, except those that must stay', async () => {
  await keep('a', 'pinned-1', 'b', 'c', 'pinned-2', 'd');
  const all = ['a', 'pinned-1', 'b', 'c', 'pinned-2', 'd'];
  await pruneAnswers((key) => key.startsWith('pinned'), 6);
  expect(await kept(...all)).toEqual(all);
  await pruneAnswers((key) => key.startsWith('pinned'), 4);
  expect(await kept(...all)).toEqual(['pinned-1', 'c', 'pinned-2', 'd']);
  await pruneAnswers((key) => key.startsWith('pinned'), 0);
  expect(await kept(...all)).toEqual(['pinned-1', 'pinned-2']);
});
