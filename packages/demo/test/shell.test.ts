import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { demoSurvey, surveyedRepairs } from '../src/index';

const ROOT = join(__dirname, '../../..');
const run = (tool: 'match' | 'plan', job: unknown, ...args: string[]) => {
  const input = typeof job === 'string' ? job : JSON.stringify(job);
  const told = spawnSync(join(ROOT, 'bin', tool), args, { input, encoding: 'utf8', cwd: ROOT });
  const { status, stdout, stderr } = told;
  const text = status === 0 ? stdout : stderr.trim().split('\n').at(-1);
  return { status, answer: JSON.parse(text || '{}') as Record<string, never> };
};
interface Planned {
  rounds: { card: { code: string }; batches: Record<string, number>[] }[];
  schedule: { from: number; to: number }[];
  supplies: { code: string | null }[];
  steps: { title: unknown; says: unknown[] }[];
  readyMin: number;
}

test('a typed job is planned with the best card, every sentence as text', () => {
  const { status, answer } = run('plan', {
    family: 'F6',
    shapes: ['hole'],
    startAt: '2026-11-25T08:00:00Z',
    answers: { 'damages.0.diameterMm': '2 1/2 in', 'readings.surfaceC': '66' },
    units: 'us',
  });
  expect([status, answer.ok]).toEqual([0, true]);
  const plan = answer.plan as unknown as Planned;
  for (const s of plan.steps)
    expect([s.title, ...s.says].map((said) => typeof said)).not.toContain('object');
  const [batch] = plan.rounds.flatMap((r) => r.batches);
  for (const key of ['mixedAtMin', 'lastTouchMin', 'lifeMin', 'placeByMin'])
    expect(batch?.[key]).toEqual(expect.any(Number));
  expect(plan.supplies.some((s) => s.code === plan.rounds[0]?.card.code)).toBe(true);
  expect(plan.schedule.every((s) => s.to >= s.from)).toBe(true);
});

test('a saved survey is matched in ranking order: verdicts, figures against limits, conditions, hints', () => {
  const found = surveyedRepairs.find((r) => r.tag === 'WL-2');
  if (!found) throw new Error('no WL-2');
  const survey = demoSurvey('WL-2', null, '2026-11-25T08:00:00Z', found.survey);
  const { status, answer } = run('match', { survey });
  expect(status).toBe(0);
  expect(answer.refusals).toEqual([
    { reason: 'cords', who: 'tyre-shop', because: expect.stringMatching(/cords/) },
  ]);
  const cards = answer.cards as unknown as { verdict: string; judged: { rule: string }[] }[];
  const order = ['fits', 'if', 'no'];
  const ranks = cards.map((c) => order.indexOf(c.verdict));
  expect([...ranks].sort()).toEqual(ranks);
  for (const c of cards)
    for (const j of c.judged)
      expect(Object.keys(j).sort()).toEqual(
        ['because', 'condition', 'figure', 'hint', 'limit', 'rule', 'verdict'].sort(),
      );
});

test('a survey without version, asset and other answers takes the form’s usual ones', () => {
  const damages = [
    { shape: 'pinhole', diameterMm: 3 },
    { shape: 'crack', lengthMm: 20 },
  ];
  const { status, answer } = run('plan', { survey: { family: 'F4', damages } });
  expect([status, answer.ok]).toEqual([0, true]);
  const { survey } = answer.plan as unknown as {
    survey: { version: number; damages: Record<string, unknown>[]; surface: object };
  };
  expect(survey.version).toBe(1);
  expect(survey.damages).toMatchObject([{ diameterMm: 3 }, { lengthMm: 20, widthMm: 1 }]);
  expect(survey.surface).toMatchObject({ slope: 'level' });
});

test('an answer of such a survey that is out of range is named', () => {
  const damages = [{ shape: 'pinhole', diameterMm: -3 }];
  const { status, answer } = run('plan', { survey: { family: 'F4', damages } });
  expect(status).toBe(2);
  expect(JSON.stringify(answer.issues)).toContain('damages.0.diameterMm');
});

test('no plan is an answer too: exit 0 with the reason', () => {
  const hot = { family: 'F2', answers: { 'service.mediumC': '240 °C' } };
  expect(run('plan', hot, 'R-210')).toEqual({
    status: 0,
    answer: { ok: false, why: expect.stringMatching(/240 °C/) },
  });
});

test.each<[string, 'match' | 'plan', unknown, string[], string]>([
  ['no JSON', 'plan', '{', [], ''],
  ['an unknown family', 'plan', { family: 'F99' }, [], 'family'],
  ['a shape of another family', 'match', { family: 'F6', shapes: ['ring'] }, [], 'shapes.0'],
  [
    'an answer out of range',
    'match',
    { family: 'F2', answers: { 'readings.rhPct': '140' } },
    [],
    'answers.readings.rhPct',
  ],
  [
    'an answer to nothing',
    'match',
    { family: 'F2', answers: { colour: 'red' } },
    [],
    'answers.colour',
  ],
  ['a card that is not there', 'plan', { family: 'F2' }, ['R-999'], 'CARD'],
  ['a key that is not known', 'plan', { family: 'F2', color: 1 }, [], 'color'],
])('%s is bad input: exit 2, and the field', (_, tool, job, args, path) => {
  const { status, answer } = run(tool, job, ...args);
  expect(status).toBe(2);
  expect((answer.issues as unknown as { path: string }[]).map((i) => i.path)).toContain(path);
});
