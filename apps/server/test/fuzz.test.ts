import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { cardFile, type RepairPage } from '@kelmot/contract';
import { demoCards, demoLots, demoPhoto } from '@kelmot/demo';
import fc from 'fast-check';
import { openWorld, surveyAt, type Person, type World } from './harness';

/** Duration of the fuzz run, s. The seed identifies the run. */
const SECONDS = Number(process.env.FUZZ_SECONDS ?? 60);
const SEED = Number(process.env.FUZZ_SEED ?? 20261126);

let world: World;
let tomas: Person;
let stranger: Person;

before(async () => {
  world = await openWorld({ signInsPerMinute: 100_000 });
  tomas = await world.person().signIn('tomas');
  stranger = world.person();
});
after(() => world.close());

/** The part of JSON Schema that the API document uses. */
interface Schema {
  $ref?: string;
  type?: string | string[];
  const?: unknown;
  enum?: unknown[];
  format?: string;
  minimum?: number;
  maximum?: number;
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  anyOf?: Schema[];
  oneOf?: Schema[];
  allOf?: Schema[];
  additionalProperties?: Schema | boolean;
  default?: unknown;
}
interface Operation {
  parameters?: { name: string; in: string; schema: Schema }[];
  requestBody?: { content: Record<string, { schema: Schema }> };
}
interface Api {
  paths: Record<string, Record<string, Operation>>;
  components?: { schemas?: Record<string, Schema> };
}

/** What a client should not send, but can. */
const ODD_TEXTS = [
  '',
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udfff',
  '\u202egpj.exe',
  '\u0007',
  "'; drop table audit; --",
  '=HYPERLINK("http://x.test")',
  '../../etc/passwd',
  '%00',
  '<script>alert(1)</script>',
  '__proto__',
  'constructor',
  '💧'.repeat(30),
  'é'.repeat(500),
  '9999-12-31T23:59:59Z',
  '+275760-09-13T00:00:00Z',
  '0001-01-01T00:00:00Z',
  '2026-02-30T00:00:00Z',
  '2026-11-26T08:00:00+23:59',
  '00000000-0000-0000-0000-000000000000',
];
const ODD_VALUES: unknown[] = [
  null,
  true,
  0,
  -0,
  -1,
  1e308,
  5e-324,
  Number.MAX_SAFE_INTEGER + 1,
  2 ** 31,
  [],
  {},
  [[[[]]]],
  { toString: 'x', length: -1 },
];
const odd = fc.oneof(fc.constantFrom(...ODD_TEXTS), fc.constantFrom(...ODD_VALUES), fc.jsonValue());

/** Values for a schema: mostly valid, sometimes odd. `known` are existing ids of any kind. */
function valuesFor(api: Api, known: readonly string[]) {
  const one = (schema: Schema, depth: number): fc.Arbitrary<unknown> => {
    if (schema.$ref) {
      const name = schema.$ref.split('/').pop() ?? '';
      return depth > 12 ? odd : one(api.components?.schemas?.[name] ?? {}, depth + 1);
    }
    return fc.oneof(
      { arbitrary: proper(schema, depth), weight: 24 },
      { arbitrary: odd, weight: 1 },
    );
  };
  const proper = (schema: Schema, depth: number): fc.Arbitrary<unknown> => {
    if ('const' in schema) return fc.constant(schema.const);
    if (schema.enum) return fc.constantFrom(...schema.enum);
    const branches = schema.oneOf ?? schema.anyOf ?? schema.allOf;
    if (branches) return fc.oneof(...branches.map((b) => one(b, depth + 1)));
    const type = Array.isArray(schema.type) ? schema.type[0] : schema.type;
    switch (type) {
      case 'object': {
        const own = Object.entries(schema.properties ?? {});
        const fields = fc.record(
          Object.fromEntries(own.map(([key, s]) => [key, one(s, depth + 1)])),
          { requiredKeys: schema.required ?? [] },
        );
        return typeof schema.additionalProperties === 'object'
          ? fc.dictionary(
              fc.constantFrom(...ODD_TEXTS, 'plug'),
              one(schema.additionalProperties, depth + 1),
              { maxKeys: 3 },
            )
          : fields;
      }
      case 'array':
        return fc.array(one(schema.items ?? {}, depth + 1), { maxLength: 3 });
      case 'integer':
      case 'number': {
        const { minimum: min = -1e6, maximum: max = 1e6 } = schema;
        const whole = fc.integer({
          min: Math.ceil(min),
          max: Math.floor(Math.max(min, Math.min(max, 2 ** 53 - 1))),
        });
        return type === 'integer'
          ? whole
          : fc.oneof(fc.double({ min, max, noNaN: true }), fc.constantFrom(min, max));
      }
      case 'boolean':
        return fc.boolean();
      case 'null':
        return fc.constant(null);
      default:
        if (schema.format === 'uuid') return fc.oneof(fc.constantFrom(...known), fc.uuid());
        if (schema.format === 'date-time')
          return fc
            .date({ min: new Date('1990-01-01'), max: new Date('2110-01-01'), noInvalidDate: true })
            .map((d) => d.toISOString());
        if (schema.format === 'date')
          return fc.constantFrom('2027-01-31', '2026-02-29', '9999-12-31');
        return fc.oneof(
          fc.string({ maxLength: 20 }),
          fc.constantFrom('R-210', 'isolate', 'main', 'F2', 'KIT-250', ...ODD_TEXTS),
        );
    }
  };
  return one;
}

/** The text in an address; half of a surrogate pair, which an address cannot hold, as a replacement mark. */
const escaped = (text: string) => encodeURIComponent(text.replace(/\p{Cs}/gu, '\ufffd'));

interface Sent {
  method: string;
  path: string;
  body?: unknown;
}

function requestsOf(api: Api, known: readonly string[]): fc.Arbitrary<Sent> {
  const values = valuesFor(api, known);
  const all = Object.entries(api.paths).flatMap(([path, operations]) =>
    Object.entries(operations).map(([method, { parameters = [], requestBody }]) => {
      const given = fc.record(
        Object.fromEntries(parameters.map((p) => [`${p.in} ${p.name}`, values(p.schema, 0)])),
        { requiredKeys: [] },
      );
      const schema = requestBody?.content['application/json']?.schema;
      const body = schema ? values(schema, 0) : fc.constant(undefined);
      const weight = schema ? 8 : 1;
      const arbitrary = fc.tuple(given, body).map(([texts, sent]): Sent => {
        const text = (value: unknown) =>
          escaped(typeof value === 'string' ? value : (JSON.stringify(value) ?? ''));
        const query = parameters
          .filter((p) => p.in === 'query' && `query ${p.name}` in texts)
          .map((p) => `${p.name}=${text(texts[`query ${p.name}`])}`);
        const at = path.replace(
          /\{(\w+)\}/g,
          (_, name: string) => text(texts[`path ${name}`]) || 'x',
        );
        return {
          method: method.toUpperCase(),
          path: `/api${at}${query.length ? `?${query.join('&')}` : ''}`,
          body: sent,
        };
      });
      return { arbitrary, weight: path.startsWith('/auth/sign-out') ? 0 : weight };
    }),
  );
  return fc.oneof(...all.filter((a) => a.weight > 0));
}

type Json = Record<string, unknown>;

/** Every place in a value, by its keys. */
function placesIn(value: unknown, at: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, part]) => placesIn(part, [...at, key]))];
}

/** The value with another value at one place. */
function withAt(value: unknown, [key, ...rest]: string[], put: unknown): unknown {
  if (key === undefined) return put;
  // Its parent was removed by an earlier change.
  if (typeof value !== 'object' || value === null) return value;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...(value as Json) }) as Json;
  copy[key] = withAt((value as Json)[key], rest, put);
  return copy;
}

/** A similar value: another size, another word, another existing id. */
const near = (value: unknown, known: readonly string[]): fc.Arbitrary<unknown> =>
  typeof value === 'number'
    ? fc.constantFrom(0.5, 2, 10, 1000, 1e6, 1e-6, -1).map((by) => value * by)
    : typeof value === 'string'
      ? fc.constantFrom(
          'R-210',
          'lasting',
          'prep',
          'gate',
          'F4',
          'water',
          value.slice(0, 3),
          ...known,
        )
      : fc.constant(value);
const valueAt = (value: unknown, path: string[]): unknown =>
  path.reduce<unknown>((at, key) => (at as Json)[key], value);

/** A valid body with up to three changed places, under its own id. */
const spoilt = (path: string, right: Json, known: readonly string[]): fc.Arbitrary<Sent> =>
  fc
    .tuple(
      fc.uuid(),
      fc.array(
        fc.constantFrom(...placesIn(right).slice(1)).chain((at) => {
          const other = fc.oneof({ arbitrary: near(valueAt(right, at), known), weight: 3 }, odd);
          return other.map((put) => ({ at, put }));
        }),
        { maxLength: 3 },
      ),
    )
    .map(([id, changes]) => {
      const own = 'id' in right ? { ...right, id } : right;
      const body = changes.reduce<unknown>((b, { at, put }) => withAt(b, at, put), own);
      return { method: 'POST', path, body };
    });

/** Valid bodies of every write: each kind of command, a card of each sort, a stock move, a sign-in. */
function rightOnes(rows: RepairPage['rows'], known: readonly string[]): fc.Arbitrary<Sent> {
  const at = new Date().toISOString();
  const [first] = rows;
  const running = rows.find((r) => r.mixes.length > 0);
  if (!first || !running) throw new Error('the demo has no repair that is mixed');
  const of = (repairId: string, more: Json): Json => ({ id: '', repairId, at, ...more });
  const { version } = first;
  const commands: Json[] = [
    of('0197b3c4-0000-7000-8000-000000000001', { type: 'repair.create', survey: surveyAt(at) }),
    of(first.id, { type: 'survey.save', expect: version, survey: surveyAt(at) }),
    of(first.id, {
      type: 'plan.make',
      expect: version,
      planId: first.id,
      cardCode: 'R-210',
      intent: 'lasting',
      schools: { split: 'whole' },
      seconds: { plug: 'R-260' },
    }),
    of(first.id, { type: 'station.move', expect: version, station: 'survey' }),
    of(running.id, { type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: 'n' }),
    of(running.id, {
      type: 'reading.add',
      stepId: 'gate',
      values: { kind: 'ambient', airC: 20, rhPct: 50, surfaceC: 20 },
    }),
    of(running.id, { type: 'mix.start', batchNo: 1, aG: 100, bG: 50, lot: 'L-1' }),
    of(running.id, { type: 'mix.placed', mixId: running.mixes[0]?.id }),
    of(running.id, { type: 'photo.add', stepId: 'protect', ...demoPhoto }),
    of(running.id, { type: 'signoff.add', verdict: 'redo', statement: 'Soft at one end.' }),
  ];
  const lot = demoLots[0];
  const put = (path: string, right: Json) => spoilt(path, right, known);
  return fc.oneof(
    ...commands.map((c) => put('/api/commands', c)),
    ...demoCards.map((card) => put('/api/cards', cardFile([card]) as unknown as Json)),
    put('/api/shelf/moves', {
      id: '',
      at,
      cardCode: lot?.cardCode,
      packId: lot?.packId,
      lot: lot?.lot,
      expiresOn: '2027-05-01',
      delta: 1,
      reason: 'received',
      repairId: null,
    }),
    put('/api/auth/sign-in/username', { username: 'vera', password: 'quillmere-demo' }),
  );
}

test(`nothing that a client sends to any route is an unexpected error, for ${SECONDS} s`, async () => {
  const { body: api } = await tomas.get<Api>('/api/openapi.json');
  const { body: page } = await tomas.get<RepairPage>('/api/repairs?limit=20');
  const known = page.rows.flatMap((r) => [r.id, ...r.mixes.map((m) => m.id)]);
  const end = performance.now() + SECONDS * 1000;
  const seen = new Map<string, number>();
  await fc.assert(
    fc.asyncProperty(
      fc.oneof(requestsOf(api, known), rightOnes(page.rows, known)),
      async ({ method, path, body }) => {
        // A request that signs in uses another person.
        const person = path.startsWith('/api/auth') ? stranger : tomas;
        const { status } = await person.request(method, path, body);
        const route = `${method} ${path.split('?')[0]?.split('/').slice(0, 3).join('/')} ${status}`;
        seen.set(route, (seen.get(route) ?? 0) + 1);
        assert.ok(status < 500, `${status} for ${method} ${path} ${JSON.stringify(body)}`);
      },
    ),
    {
      seed: SEED,
      numRuns: Number.MAX_SAFE_INTEGER,
      interruptAfterTimeLimit: Math.max(0, end - performance.now()),
      endOnFailure: true,
    },
  );
  const tried = [...seen.values()].reduce((s, n) => s + n, 0);
  const good = [...seen].reduce((s, [route, n]) => s + (route.endsWith(' 200') ? n : 0), 0);
  assert.ok(tried > 100, `${tried} requests`);
  assert.ok(good > 0, 'some of them are taken');
});

const HEADERS: Record<string, string>[] = [
  { origin: 'null' },
  { origin: 'http://' },
  { origin: '::' },
  { 'content-type': 'application/json; charset=\u00ff' },
  { 'content-type': 'multipart/form-data' },
  { cookie: 'kelmot.session_token=%00%ff; =; a' },
  { 'accept-encoding': 'x'.repeat(2000) },
  { 'x-request-id': '<script>' },
  { 'if-none-match': '"' },
];
for (const headers of HEADERS)
  test(`nor is a request with ${JSON.stringify(headers).slice(0, 60)}`, async () => {
    const { status } = await tomas.request('POST', '/api/commands', { type: 'check.set' }, headers);
    assert.ok(status >= 400 && status < 500, String(status));
  });

test('invalid or deeply nested JSON bodies cause no unexpected error', async () => {
  for (const raw of [
    '',
    '{',
    'null',
    '[]',
    '"x"',
    '['.repeat(50_000),
    `{"a":${'['.repeat(20_000)}${']'.repeat(20_000)}}`,
  ]) {
    const { status } = await tomas.raw('POST', '/api/commands', raw);
    assert.ok(status >= 400 && status < 500, `${status} for ${raw.slice(0, 20)}`);
  }
});
