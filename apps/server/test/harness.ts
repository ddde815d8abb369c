import { after, before } from 'node:test';
import { LiveState, type Command, type RepairView } from '@kelmot/contract';
import type { z } from 'zod';
import { planBatches, Survey, type Plan } from '@kelmot/core';
import { benchRowsOf, type Act } from '@kelmot/demo-server/walk';
import { demoUsers, meets, openRepairs, simulatedWeather } from '@kelmot/demo';
import { pino } from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { makeApp } from '../src/app';
import { makeAuth } from '../src/services/auth';
import { openDatabase, type Database } from '../src/db/client';
import { makeSessions } from '../src/http/session';
import { plantDatabase, type TestDatabase } from './cluster';

export interface Answer<T> {
  status: number;
  body: T;
  headers: Headers;
}

type Json = Record<string, unknown>;

/** Live messages that a page receives about its repair. */
export interface Heard {
  /** The next state that matches. */
  until: (is: (state: LiveState) => boolean) => Promise<LiveState>;
  leave: () => Promise<void>;
}

/** A person at a browser: a cookie jar over the real application, with every request through HTTP. */
export class Person {
  private readonly cookies = new Map<string, string>();

  constructor(private readonly fetch: (r: Request) => Response | Promise<Response>) {}

  request<T = Json>(
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ): Promise<Answer<T>> {
    const text = body === undefined ? undefined : JSON.stringify(body);
    return this.raw<T>(method, path, text, headers);
  }

  /** A raw answer; keeps its cookies. */
  private async asked(
    method: string,
    path: string,
    body?: string,
    headers: Record<string, string> = {},
  ): Promise<Response> {
    const response = await this.fetch(
      new Request(`http://kelmot.test${path}`, {
        method,
        headers: {
          host: 'kelmot.test',
          origin: 'http://kelmot.test',
          ...(this.cookies.size > 0
            ? { cookie: [...this.cookies].map((c) => c.join('=')).join('; ') }
            : {}),
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...headers,
        },
        body,
      }),
    );
    for (const set of response.headers.getSetCookie()) {
      const [name = '', ...value] = (set.split(';')[0] ?? '').split('=');
      this.cookies.set(name, value.join('='));
    }
    return response;
  }

  /** A request with exactly this text as its JSON body. */
  async raw<T = Json>(
    method: string,
    path: string,
    body?: string,
    headers?: Record<string, string>,
  ): Promise<Answer<T>> {
    const response = await this.asked(method, path, body, headers);
    const type = response.headers.get('content-type') ?? '';
    // A stream has no end: see `hear`.
    if (type.includes('event-stream')) await response.body?.cancel();
    const text = response.bodyUsed ? '' : await response.text();
    const isJson = type.includes('json');
    return {
      status: response.status,
      headers: response.headers,
      body: (isJson ? JSON.parse(text) : text) as T,
    };
  }

  /** The events about a repair while a page has it open. */
  async hear(id: string, tab: string = uuidv7(), step?: string): Promise<Heard> {
    const query = new URLSearchParams({ tab, ...(step ? { step } : {}) });
    const response = await this.asked('GET', `/api/repairs/${id}/live?${query}`);
    if (!response.body || response.status !== 200) throw new Error(`${response.status}`);
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    return {
      until: async (is) => {
        for (;;) {
          for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
            const data = /^data: (.*)$/m.exec(text.slice(0, end))?.[1];
            text = text.slice(end + 2);
            const state = data === undefined ? null : LiveState.parse(JSON.parse(data));
            if (state && is(state)) return state;
          }
          const { value, done } = await reader.read();
          if (done) throw new Error('it has ended');
          text += value;
        }
      },
      leave: () => reader.cancel(),
    };
  }

  get<T = Json>(path: string) {
    return this.request<T>('GET', path);
  }

  async signIn(username: string): Promise<this> {
    const password = demoUsers.find((u) => u.username === username)?.password;
    const { status, body } = await this.request('POST', '/api/auth/sign-in/username', {
      username,
      password,
    });
    if (status !== 200)
      throw new Error(`sign-in of ${username}: ${status} ${JSON.stringify(body)}`);
    return this;
  }

  send<T = Json>(command: Command) {
    return this.request<T>('POST', '/api/commands', command);
  }

  async repair(id: string): Promise<RepairView> {
    return (await this.get<RepairView>(`/api/repairs/${id}`)).body;
  }
}

export interface World {
  database: Database;
  urls: TestDatabase;
  person: () => Person;
  /** Runs a function as the database's owner (the administrator). */
  asOwner: <T>(work: (owner: Database) => Promise<T>) => Promise<T>;
  close: () => Promise<void>;
}

/** How the application is reached; by default directly, without rate limits. */
interface Reached {
  signInsPerMinute?: number;
  publicUrl?: string;
  proxies?: number;
  closing?: AbortSignal;
}

/** A separate database in the test cluster, migrated and seeded, with the application. */
export async function openWorld({
  signInsPerMinute = 1000,
  publicUrl,
  proxies,
  closing,
}: Reached = {}): Promise<World> {
  const urls = await plantDatabase('test');
  const database = openDatabase(urls.appUrl);
  const reached = { secret: 'a secret of the tests alone', publicUrl };
  const auth = makeAuth(database.db, { ...reached, signInsPerMinute });
  const app = makeApp({
    db: database.db,
    auth,
    sessions: makeSessions(database.db, reached),
    log: pino({ level: 'silent' }),
    webRoot: '.',
    demoUsers,
    weather: simulatedWeather,
    instruments: 'simulated',
    publicUrl,
    proxies,
    closing,
  });
  return {
    database,
    urls,
    person: () => new Person((r) => app.fetch(r)),
    asOwner: async (work) => {
      const owner = openDatabase(urls.ownerUrl);
      try {
        return await work(owner);
      } finally {
        await owner.pool.end();
      }
    },
    close: () => database.pool.end(),
  };
}

/** A world for the tests of one file, with people signed in before the first test. */
export function inWorld<N extends string>(...names: N[]): { world: World } & Record<N, Person> {
  const there = {} as Record<string, unknown>;
  before(async () => {
    const world = await openWorld();
    there.world = world;
    for (const name of names) there[name] = await world.person().signIn(name);
  });
  after(() => (there.world as World).close());
  return there as { world: World } & Record<N, Person>;
}

/** The time so many hours ago, as it is sent. */
export const ago = (hours: number): string => new Date(Date.now() - hours * HOUR).toISOString();

const [first] = openRepairs;

/** A survey that R-210 fits, made some hours ago. */
export function surveyAt(startAt: string, tag = 'T-1'): Survey {
  if (!first) throw new Error('the demo has no repairs');
  return Survey.parse({
    version: 1,
    asset: { id: null, tag, name: 'Test pump', position: 'Test bay', costPerHour: 100 },
    ...first.survey,
    window: { ...first.survey.window, startAt },
  });
}

/** A command before its usual parts are filled in. */
type Sent = z.input<typeof Command>;
type Draft<C> = C extends Sent ? Omit<C, 'id' | 'repairId' | 'at'> & { at?: string } : never;

/** A command with a new id, for one repair. */
export const command = (repairId: string, draft: Draft<Sent>): Command =>
  ({ at: new Date().toISOString(), ...draft, id: uuidv7(), repairId }) as Command;

/** Plans a repair of a survey with a card, both at one moment; returns its id. */
export async function planRepair(
  person: Person,
  survey: Survey,
  cardCode: string,
  at: string,
): Promise<string> {
  const id = uuidv7();
  const taken = async (draft: Draft<Sent>) => {
    const { status, body } = await person.send(command(id, { ...draft, at }));
    if (status !== 200) throw new Error(JSON.stringify(body));
  };
  await taken({ type: 'repair.create', survey });
  await taken({
    type: 'plan.make',
    expect: 1,
    planId: uuidv7(),
    cardCode,
    intent: survey.intent,
  });
  return id;
}

/** A sign-off by a planner, with a reason, of work that was done without signal and sent later. */
export const signedAfterwards = (statement: string) =>
  ({
    type: 'signoff.add',
    verdict: 'accepted',
    statement,
    override: 'Entered afterwards.',
  }) as const;

const MINUTE = 60_000;
export const HOUR = 60 * MINUTE;

/** The commands of one task of a job. */
async function acted(person: Person, id: string, plan: Plan, act: Act): Promise<Draft<Sent>> {
  if (act.kind === 'hold') {
    const hold = plan.steps.find((s) => s.id === act.stepId)?.hold;
    if (!hold) throw new Error(`no hold ${act.stepId}`);
    return meets(hold, act.stepId, plan);
  }
  const { batchNo } = act;
  if (act.kind === 'mix') {
    const batch = planBatches(plan).find((b) => b.no === batchNo);
    return {
      type: 'mix.start',
      batchNo,
      aG: batch?.aG ?? null,
      bG: batch?.bG ?? null,
      lot: `L${batchNo}`,
    };
  }
  const { mixes } = await person.repair(id);
  const wet = mixes.find((x) => x.batchNo === batchNo && x.placedAt === null);
  return { type: 'mix.placed', mixId: wet?.id ?? '' };
}

/**
 * Does a planned job by its schedule, from a moment in epoch ms, until a given task; the server must accept each
 * command.
 */
export async function work(
  person: Person,
  id: string,
  start: number,
  until: (act: Act, plan: Plan) => boolean = () => false,
  skip: (act: Act) => boolean = () => false,
): Promise<number> {
  const plan = (await person.repair(id)).plan?.body;
  if (!plan) throw new Error('no plan');
  for (const act of benchRowsOf(plan)) {
    if (until(act, plan)) break;
    if (skip(act)) continue;
    const at = new Date(start + act.atMin * MINUTE).toISOString();
    const answer = await person.send({ ...command(id, await acted(person, id, plan, act)), at });
    if (answer.status !== 200)
      throw new Error(`${JSON.stringify(act)}: ${JSON.stringify(answer.body)}`);
  }
  return start + plan.readyMin * MINUTE;
}
