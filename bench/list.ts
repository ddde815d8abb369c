import { Client } from 'pg';
import { seedDemo } from '@kelmot/demo-server/seedDemo';
import { openDatabase, type Db } from '@kelmot/server/db/client';
import { prepareDatabase } from '@kelmot/server/db/prepare';
import { listRepairs, placeOf, type RepairFilter } from '@kelmot/server/db/repairQueries';
import { readRepair } from '@kelmot/server/db/repairView';
import { emptyDatabase } from '../apps/server/test/cluster';
import { table } from './lib/measure';

const SIZES = [200, 2000, 20_000, 100_000];
/** Number of open repairs, however many are closed. */
const OPEN = 150;
const PAGE = 50;

/**
 * Adds copies of the demo repairs up to a number: each with a plan (its summary; its body too if it is open, because
 * its clocks need it), a batch and a gate reading.
 */
const FILL = `
with source as (
  select r.*, p.id as pid, p.card_code, p.card_version, p.summary, p.body, row_number() over () as n
  from repairs r join plans p on p.id = r.plan_id where r.tag not like 'B-%'
), made as (
  select s.*, gen_random_uuid() as new_id, gen_random_uuid() as new_plan, g as at
  from generate_series($1::int, $2::int) g
  join source s on s.n = 1 + g % (select count(*) from source)
), kept as (
  insert into repairs (id, site_id, asset_id, family, tag, asset_name, position, title, intent, station, status, survey,
    plan_id, back_by, created_by, created_at, updated_at)
  select new_id, site_id, asset_id, family, 'B-' || lpad(at::text, 6, '0'), asset_name, position, title, intent, station,
    (case when at < $3::int then 'open' else 'closed' end)::repair_status, survey, new_plan, back_by, created_by,
    now() - at * interval '1 minute', now() - at * interval '1 minute' from made returning id
), planned as (
  insert into plans (id, repair_id, number, site_id, card_code, card_version, core, body, summary, made_at, by)
  select new_plan, new_id, 1, site_id, card_code, card_version, '0',
    (case when at < $3::int then body else '{}'::jsonb end), summary, now(), created_by from made returning id
), mixed as (
  insert into mixes (id, repair_id, plan_id, batch_no, in_tolerance, lot, started_at, received_at, by)
  select gen_random_uuid(), new_id, new_plan, 1, true, 'L', now(), now(), created_by from made returning id
)
insert into readings (id, repair_id, plan_id, step_id, values, passed, say, taken_at, received_at, by)
select gen_random_uuid(), new_id, new_plan, 'gate', '{"kind":"ambient","airC":20,"rhPct":50,"surfaceC":20}', true,
  '{"text":"Go.","values":{}}', now(), now(), created_by from made`;

/** Milliseconds of an action, the best of several: other work on the machine only slows it. */
async function ms(work: () => Promise<unknown>): Promise<number> {
  await work();
  const times: number[] = [];
  for (let i = 0; i < 15; i += 1) {
    const from = performance.now();
    await work();
    times.push(performance.now() - from);
  }
  return Math.min(...times);
}

/** Tags of the copies: none contains another, so that a search finds equally many at every size. */
const tagOf = (at: number): string => `B-${String(at).padStart(6, '0')}`;

async function measured(
  db: Db,
  size: number,
  siteId: string,
  one: string,
): Promise<Record<string, number>> {
  const page = (more: Partial<RepairFilter>) =>
    listRepairs(db, { siteId, status: 'all', q: '', limit: PAGE, after: null, ...more });
  // The cursor of page 200, or of the last page if there are fewer.
  let far: RepairFilter['after'] = null;
  for (let i = 1; i < 200; i += 1) {
    const { next } = await page({ after: far });
    if (next === null) break;
    far = placeOf(next);
  }
  return {
    bench: await ms(() => page({ status: 'open', limit: 100 })),
    list: await ms(() => page({})),
    'page 200': await ms(() => page({ after: far })),
    'search, a page': await ms(() => page({ q: 'B-000' })),
    'search, ten': await ms(() => page({ q: tagOf(170).slice(0, -1) })),
    // A tenth of them if there are many, and none of these is new.
    'search, old ones': await ms(() => page({ q: tagOf(size - 1).slice(0, size < 1e4 ? -2 : -4) })),
    'search, the oldest': await ms(() => page({ q: tagOf(size - 1) })),
    'search, none': await ms(() => page({ q: 'nowhere at all' })),
    'one repair': await ms(() => readRepair(db, { siteId, id: one })),
  };
}

async function main(): Promise<void> {
  const urls = await emptyDatabase('bench');
  await prepareDatabase({ ...urls, seed: async (tx) => void (await seedDemo(tx, Date.now())) });
  const { db, pool } = openDatabase(urls.appUrl);
  const owner = new Client({ connectionString: urls.ownerUrl });
  await owner.connect();
  const { rows } = await owner.query<{ id: string; site_id: string; n: string }>(
    "select id, site_id, (select count(*) from repairs) as n from repairs where plan_id is not null and status = 'open' limit 1",
  );
  const [first] = rows;
  if (!first) throw new Error('the demo has nothing planned');
  let filled = Number(first.n);
  const found: Record<string, number>[] = [];
  for (const size of SIZES) {
    await owner.query(FILL, [filled, size - 1, OPEN]);
    await owner.query('vacuum analyze');
    filled = size;
    found.push(await measured(db, size, first.site_id, first.id));
    console.error(`${size} repairs measured`);
  }
  const [small] = found;
  const names = Object.keys(small ?? {});
  const growth = names.map((name) => {
    const times = found.map((f) => f[name] ?? 0);
    return [
      name,
      ...times.map((t) => t.toFixed(2)),
      ((times.at(-1) ?? 0) / (times[0] || 1)).toFixed(2),
    ];
  });
  console.log(table(['ms', ...SIZES.map(String), 'growth'], growth));
  await owner.end();
  await pool.end();
}

void main().then(() => process.exit(0));
