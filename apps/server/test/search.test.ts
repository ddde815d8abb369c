import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { RepairPage } from '@kelmot/contract';
import { ago, inWorld, type Answer, type Person } from './harness';

const there = inWorld('ida');
const MANY = 1200;

/** Copies of an open repair, each one minute older, from some days ago: the first is the newest. */
const FILL = `
  insert into repairs (id, site_id, family, tag, asset_name, position, title, intent, station, status, survey, back_by,
    created_by, created_at, updated_at)
  select gen_random_uuid(), site_id, family, 'N-' || lpad(n::text, 4, '0'), asset_name, 'Far field', title, intent, station,
    (case when n % 2 = 0 then 'open' else 'closed' end)::repair_status, survey, back_by, created_by,
    $1, $1::timestamptz - n * interval '1 minute'
  from (select * from repairs limit 1) one, generate_series(1, ${MANY}) n`;

/** All results, page by page. */
async function allOf(who: Person, asked: string): Promise<string[]> {
  const tags: string[] = [];
  let cursor: string | null = null;
  do {
    const { body }: Answer<RepairPage> = await who.get<RepairPage>(
      `/api/repairs?${asked}${cursor ? `&cursor=${cursor}` : ''}`,
    );
    assert.ok(body.rows, JSON.stringify(body));
    tags.push(...body.rows.map((r) => r.tag));
    cursor = body.next;
  } while (cursor);
  return tags;
}
const tagged = (from: number, to: number): string[] =>
  Array.from({ length: to - from + 1 }, (_, i) => `N-${String(from + i).padStart(4, '0')}`);

test('search finds newest first and once, however far back and however many', async () => {
  const { ida, world } = there;
  await world.asOwner(({ pool }) => pool.query(FILL, [ago(100)]));
  const found: [string, string, string[]][] = [
    ['all of them, over many pages', 'q=far%20field&limit=100', tagged(1, MANY)],
    ['some of the newest', 'q=n-000&limit=4', tagged(1, 9)],
    ['a hundred, of which some are new', 'q=n-04&limit=80', tagged(400, 499)],
    ['a hundred far back, over pages', 'q=n-11&limit=30', tagged(1100, 1199)],
    ['the last', `q=n-${MANY}`, tagged(MANY, MANY)],
    ['less than three letters', 'q=n-&limit=200', tagged(1, MANY)],
    ['none', 'q=n-9999', []],
    [
      'the open ones alone',
      'q=n-119&status=open',
      ['N-1190', 'N-1192', 'N-1194', 'N-1196', 'N-1198'],
    ],
  ];
  for (const [what, asked, tags] of found) assert.deepEqual(await allOf(ida, asked), tags, what);
});

test('a list is sorted by any column over all rows, up and down, over many pages', async () => {
  const { ida, world } = there;
  const { body } = await ida.get<RepairPage>('/api/repairs?q=n-0001');
  assert.equal(body.rows.length, 1);
  // Its number decides, not its letters: N-2 comes before N-10.
  await world.asOwner(({ pool }) =>
    pool.query("update repairs set tag = 'N-' || ltrim(substr(tag, 3), '0') where tag like 'N-0%'"),
  );
  const byNumber = Array.from({ length: 999 }, (_, i) => `N-${i + 1}`);
  const up = await allOf(ida, 'q=far%20field&sort=tag&limit=130');
  assert.deepEqual(up.slice(0, 999), byNumber);
  const down = await allOf(ida, 'q=far%20field&sort=tag&order=down&limit=130');
  assert.deepEqual(down, [...up].reverse());
  const all = await allOf(ida, 'limit=200');
  for (const sort of ['asset', 'damage', 'card', 'intent', 'station', 'when']) {
    const tags = await allOf(ida, `sort=${sort}&limit=190`);
    assert.deepEqual([...tags].sort(), [...all].sort(), sort);
  }
  const wrong = await ida.get(
    `/api/repairs?sort=tag&cursor=${Buffer.from('{"key":1}').toString('base64url')}`,
  );
  assert.equal(wrong.status, 422);
  const odd = Buffer.from(JSON.stringify({ key: 'soon', id: body.rows[0]?.id })).toString(
    'base64url',
  );
  assert.equal((await ida.get(`/api/repairs?sort=when&cursor=${odd}`)).status, 422);
});
