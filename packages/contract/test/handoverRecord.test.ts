import { m, word } from '@kelmot/core';
import {
  applyCommand,
  validRecords,
  HANDOVER,
  handoverOf,
  ReadingValues,
  storyOf,
  lastHandover,
  wrongOfRepair,
  type Command,
  type RepairView,
} from '../src/index';
import { AT, HERS, ID, IDA, planOf, viewOf } from './view';

const plan = planOf();
const fresh = viewOf(plan);
const at = (min: number) => new Date(Date.parse(AT) + min * 60_000).toISOString();
const TOMAS = { ...IDA, id: 'tomas', name: 'Tomas' };

let made = 0;
const laid = (view: RepairView, min: number, draft: object, who = IDA): RepairView =>
  applyCommand(view, { id: `h${(made += 1)}`, repairId: ID, at: at(min), ...draft } as Command, {
    ...HERS,
    who,
  });
const parts = [
  { part: 'stands', lines: ['3 of 25 done.', 'Next, at Prep: dust off.'] },
  { part: 'wet', lines: ['Place it by 09:40.'] },
];
const reading = (values: object) => ({ type: 'reading.add', stepId: HANDOVER, values });
const left = (view: RepairView, min: number) =>
  laid(view, min, reading({ kind: 'handed-over', parts, note: 'Key at the gate.' }));
const tick = { type: 'check.set', stepId: 'isolate', batchNo: null, done: true, note: '' };

test('a handover is a line of the record in its own words, and waits for the next person', () => {
  const view = left(fresh, 5);
  const [line] = storyOf(view);
  expect(line && word(line.title)).toBe('Handed over');
  expect(line?.say && word(line.say)).toBe(
    'Where it stands: 3 of 25 done. Next, at Prep: dust off. Batches, cures and waits: Place it by 09:40. Key at the gate.',
  );
  expect(line).toMatchObject({ by: 'Ida', mark: null, at: at(5) });
  expect(lastHandover(view)).toMatchObject({ byId: 'ida', parts, note: 'Key at the gate.' });
  expect(lastHandover(fresh)).toBeNull();
});

test("it ends when another person takes over or goes on; the author's own work does not end it", () => {
  const view = left(fresh, 5);
  expect(lastHandover(laid(view, 6, tick))).not.toBeNull();
  expect(lastHandover(laid(view, 6, tick, TOMAS))).toBeNull();
  const taken = laid(view, 6, reading({ kind: 'taken-over' }), TOMAS);
  expect(lastHandover(taken)).toBeNull();
  expect(storyOf(taken).map(({ title }) => word(title))).toEqual(['Handed over', 'Taken over']);
  // A new handover waits to be read again.
  expect(lastHandover(left(taken, 7))).toMatchObject({ takenAt: at(7) });
});

test('earlier work by others does not end it', () => {
  expect(lastHandover(left(laid(fresh, 1, tick, TOMAS), 5))).not.toBeNull();
});

test('a handover is not work: the last work is reported as before', () => {
  const view = left(laid(fresh, 1, tick), 5);
  const [first] = handoverOf(view, Date.parse(at(6)), 'UTC').stands;
  expect(first && word(first)).toBe('Last done: Isolate and make safe, 09:01, Ida.');
});

test('it belongs to no step, and stays with a repair that is planned again', () => {
  const values = { kind: 'taken-over' } as const;
  expect(wrongOfRepair({ stepId: HANDOVER, at: AT }, values, plan)).toBeNull();
  expect(wrongOfRepair({ stepId: 'isolate', at: AT }, values, plan)).toEqual({
    path: 'stepId',
    message: 'must be handover: this belongs to no step',
  });
  expect(wrongOfRepair({ stepId: HANDOVER, at: AT }, { kind: 'nail', marks: false }, plan)).toEqual(
    { path: 'stepId', message: 'must be cure: this belongs to no step' },
  );
  const { readings } = left(fresh, 5);
  const other = { ...plan, steps: plan.steps.slice(0, 1) };
  expect(validRecords({ body: plan, checks: [], readings }, other)).toMatchObject({
    readings,
    left: [],
  });
});

test('a handover from a device is text only, and limited', () => {
  const told = (line: string, n = 1) =>
    ReadingValues.safeParse({
      kind: 'handed-over',
      parts: [{ part: 'stands', lines: Array<string>(n).fill(line) }],
      note: '',
    });
  expect(told('{n, plural, other').success).toBe(true);
  // A reason of several lines is told as typed.
  expect(told('Override: Prove it.\nNo gauge on site.').success).toBe(true);
  expect(told('x'.repeat(2001)).success).toBe(false);
  expect(told('x', 101).success).toBe(false);
  // Braces are shown as typed, never taken as a template.
  const values = told('{n, plural, other').data;
  const view = laid(fresh, 5, reading(values ?? {}));
  const [line] = storyOf(view);
  expect(word(line?.say ?? m(''))).toBe('Where it stands: {n, plural, other');
});
