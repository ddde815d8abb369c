import { spawn } from 'node:child_process';
import autocannon from 'autocannon';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { AS_IT_IS, startServer, type Running } from '../e2e/lib/server';
import { demoSurvey, openRepairs } from '@kelmot/demo';
import { rate, table } from './lib/measure';

const SECONDS = 6;
/** As many as the pool has connections; and a shift that regains signal. */
const FEW = 10;
const MANY = 50;
/** Number of repairs in work at once: each by one or two people. */
const AT_WORK = 100;

interface Result {
  perSecond: number;
  p99: number;
}
type Ask = Omit<autocannon.Options, 'url'> & { path?: string };

/** Warms an address up, then requests it as often as it answers. Any other answer is an error. */
async function asked(
  base: string,
  { path = '/', ...ask }: Ask,
  connections: number,
): Promise<Result> {
  const url = `${base}${path}`;
  const of = (duration: number) => autocannon({ ...ask, url, duration, connections });
  await of(2);
  const found = await of(SECONDS);
  if (found.non2xx > 0 || found.errors > 0)
    throw new Error(`${url}: ${found.non2xx} refused, ${found.errors} lost`);
  return { perSecond: found.requests.average, p99: found.latency.p99 };
}

/** The bare server on the same database. */
async function startBare(databaseUrl: string): Promise<{ base: string; stop: () => void }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'bench/bare.ts'], {
    env: { ...process.env, DATABASE_URL: databaseUrl },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const base = await new Promise<string>((resolve, reject) => {
    child.once('exit', () => reject(new Error('the bare server stopped')));
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /BARE_URL (\S+)/.exec(chunk.toString());
      if (found?.[1]) resolve(found[1]);
    });
  });
  child.removeAllListeners('exit');
  return { base, stop: () => child.kill('SIGTERM') };
}

async function signedIn(base: string): Promise<string> {
  const answer = await fetch(`${base}/api/auth/sign-in/username`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ username: 'ida', password: 'quillmere-demo' }),
  });
  return answer.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
}

interface Begun {
  repairId: string;
  planId: string;
}

/** A planned repair before its first task. */
async function begun(base: string, cookie: string, i: number): Promise<Begun> {
  const repairId = uuidv7();
  const at = new Date().toISOString();
  const [like] = openRepairs;
  if (!like) throw new Error('the demo has no repairs');
  const demo = demoSurvey(like.tag, null, at, like.survey);
  const survey = { ...demo, asset: { ...demo.asset, tag: `LOAD-${i}` } };
  const plan = { planId: uuidv7(), cardCode: like.cardCode, intent: survey.intent, expect: 1 };
  for (const part of [
    { type: 'repair.create', survey },
    { type: 'plan.make', ...plan },
  ]) {
    const answer = await fetch(`${base}/api/commands`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: JSON.stringify({ ...part, id: uuidv7(), at, repairId }),
    });
    if (!answer.ok) throw new Error(await answer.text());
  }
  return { repairId, planId: plan.planId };
}

/** Both servers on one database, stopped in any case. */
async function main(): Promise<void> {
  const kelmot = await startServer({ main: AS_IT_IS });
  const owner = new Client({ connectionString: kelmot.ownerUrl });
  await owner.connect();
  await owner.query(
    'create table bench_writes (id uuid primary key, note text, at timestamptz default now())',
  );
  await owner.query('grant insert on bench_writes to kelmot_app');
  const bare = await startBare(kelmot.appUrl);
  try {
    await measure(kelmot, bare);
  } finally {
    bare.stop();
    await owner.end();
    await kelmot.stop();
  }
}

async function measure(kelmot: Running, bare: { base: string }): Promise<void> {
  const cookie = await signedIn(kelmot.base);
  const planned: Begun[] = [];
  for (let i = 0; i < AT_WORK; i += 1) planned.push(await begun(kelmot.base, cookie, i));
  const one = planned[0]?.repairId;
  const headers = { cookie };
  const write = {
    method: 'POST' as const,
    headers: { cookie, 'content-type': 'application/json' },
  };
  let next = 0;
  const tick = () => ({
    type: 'check.set',
    id: uuidv7(),
    at: new Date().toISOString(),
    ...planned[(next += 1) % planned.length],
    stepId: 'isolate',
    done: true,
    note: 'Locked and tagged.',
  });
  const each = (body: () => object) => [
    { setupRequest: (req: autocannon.Request) => ({ ...req, body: JSON.stringify(body()) }) },
  ];
  const writes: [Ask, Ask] = [
    { path: '/api/commands', ...write, requests: each(tick) },
    {
      path: '/one',
      ...write,
      requests: each(() => ({ id: uuidv7(), note: 'Locked and tagged.' })),
    },
  ];
  const rows: string[][] = [];
  const compared = async (name: string, connections: number, [own, other]: [Ask, Ask]) => {
    const ours = await asked(kelmot.base, own, connections);
    const theirs = await asked(bare.base, other, connections);
    rows.push([
      `${name}, ${connections} at once`,
      rate(ours.perSecond),
      rate(theirs.perSecond),
      (ours.perSecond / theirs.perSecond).toFixed(2),
      String(ours.p99),
      String(theirs.p99),
    ]);
  };
  await compared('one repair', FEW, [
    { path: `/api/repairs/${one}`, headers },
    { path: `/one/${one}` },
  ]);
  await compared('the bench', FEW, [
    { path: '/api/repairs?status=open&limit=100', headers },
    { path: '/list' },
  ]);
  await compared('one write', FEW, writes);
  await compared('one write', MANY, writes);
  console.log(table(['', 'a second', 'bare', 'of bare', 'p99 ms', 'bare'], rows));
}

void main().then(() => process.exit(0));
