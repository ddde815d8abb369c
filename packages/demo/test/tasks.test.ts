import {
  applyCommand,
  repeatReason,
  currentTask,
  closingWindows,
  taskDone,
  openForBatch,
  openHoldsOfJob,
  type Command,
  type RepairView,
} from '@kelmot/contract';
import {
  tasksOf,
  MINUTE,
  paceOf,
  usableMinutes,
  word,
  type MixedBatch,
  type Task,
  type Plan,
} from '@kelmot/core';
import { m, q } from '@kelmot/core/message/message';
import { HERS, ID, viewOf } from '../../contract/test/view';
import { demoPlan, demoSurvey, meets, surveyedRepairs } from '../src/index';

const AT = '2026-11-25T08:00:00Z';

let made = 0;
type Draft = Parameters<typeof applyCommand>[1];
/** An optimistic update at a moment of the plan's clock. */
function told(view: RepairView, atMin: number, draft: object): RepairView {
  const at = new Date(Date.parse(startOf(view)) + atMin * MINUTE).toISOString();
  const id = `${ID.slice(0, -5)}${String(10_000 + ++made)}`;
  return applyCommand(view, { ...draft, id, repairId: ID, at } as Draft, HERS);
}
const startOf = (view: RepairView): string => view.survey.window.startAt;
const momentOf = (view: RepairView, min: number): number =>
  Date.parse(startOf(view)) + min * MINUTE;

/** Does one task: mixes the batch first, meets the hold, marks the batch as placed with the last. */
function doTask(view: RepairView, plan: Plan, task: Task): RepairView {
  const { step, batch, empties, fromMin, toMin } = task;
  let next = view;
  const mixed = () => next.mixes.find((x) => x.batchNo === batch?.no && !x.binnedAt);
  if (batch && !mixed()) {
    expect(openForBatch(next, batch.no, momentOf(view, fromMin)).map((x) => word(x))).toEqual([]);
    const { no: batchNo, aG, bG } = batch;
    next = told(next, fromMin, {
      type: 'mix.start',
      batchNo,
      aG,
      bG,
      lot: '',
    } satisfies Partial<Command>);
  }
  if (step.hold) {
    const wait = step.hold.kind === 'countdown' ? step.hold.minutes : 0;
    const command = meets(step.hold, step.id, plan);
    const given = command.type === 'check.set' ? { batchNo: batch?.no ?? null } : {};
    next = told(next, toMin - wait, { ...command, ...given });
  }
  const mix = mixed();
  return empties && mix ? told(next, toMin, { type: 'mix.placed', mixId: mix.id }) : next;
}

const planned = surveyedRepairs.map((r) => {
  const survey = demoSurvey(r.tag, null, AT, r.survey);
  return [
    `${r.survey.family} ${r.tag}`,
    { survey, cardCode: r.taken?.cardCode, madeAt: AT },
  ] as const;
});

test.each(planned)('%s: doing the current task, one at a time, does the whole job', (_, ask) => {
  const plan = demoPlan(ask);
  const tasks = tasksOf(plan);
  let view = viewOf(plan);
  for (const [i, task] of tasks.entries()) {
    const now = momentOf(view, task.fromMin);
    expect([tasks[currentTask(tasks, view, now) ?? -1]?.id, now]).toEqual([task.id, now]);
    view = doTask(view, plan, task);
    // A plan that keeps its windows misses none of them.
    const later = momentOf(view, task.toMin) + 1000;
    expect(
      tasks
        .slice(0, i + 1)
        .filter((d) => !taskDone(d, { view, plan, now: later }))
        .map((d) => d.id),
    ).toEqual([]);
  }
  const end = momentOf(view, plan.readyMin + 1);
  expect(currentTask(tasks, view, end)).toBeNull();
  expect(openHoldsOfJob(view, end).map((x) => word(x))).toEqual([]);
});

/** The job of a tag with everything done up to one task. */
function job(tag: string) {
  const [, ask] = planned.find(([name]) => name.endsWith(tag)) ?? [];
  if (!ask) throw new Error(`no ${tag}`);
  const plan = demoPlan(ask);
  const tasks = tasksOf(plan);
  return {
    plan,
    tasks,
    upTo: (is: (task: Task) => boolean): { view: RepairView; task: Task } => {
      const end = tasks.findIndex(is);
      const view = tasks.slice(0, end).reduce((v, d) => doTask(v, plan, d), viewOf(plan));
      return { view, task: tasks[end] as Task };
    },
    handOf: (view: RepairView, min: number) =>
      tasks[currentTask(tasks, view, momentOf(view, min)) ?? -1]?.id,
  };
}

describe('done work can become open again', () => {
  const { upTo, handOf } = job('BS-4');

  test('an undone tick is current again, and so is a discarded batch with all its ticks', () => {
    const { view, task } = upTo((d) => d.step.name === 'ports' && d.batch?.no === 2);
    const back = told(view, task.fromMin, {
      type: 'check.set',
      stepId: 'grade',
      batchNo: null,
      done: false,
      note: '',
    });
    expect(handOf(back, task.fromMin)).toBe('grade');
    expect(handOf(view, task.fromMin)).toBe('ports.paste/2');
    const mix = view.mixes.find((x) => x.batchNo === 2);
    const binned = told(view, task.fromMin, { type: 'mix.binned', mixId: mix?.id });
    expect(handOf(binned, task.fromMin)).toBe('mix.paste/2');
    // Mixed again, it is ticked again: the old tick belonged to the batch that was thrown away.
    const again = told(binned, task.fromMin + 1, {
      type: 'mix.start',
      batchNo: 2,
      aG: 1,
      bG: 1,
      lot: '',
    });
    expect(handOf(again, task.fromMin + 1)).toBe('mix.paste/2');
  });

  test('a batch placed from the list is done; the last of its round still needs its ticks', () => {
    const { view, task } = upTo((d) => d.step.name === 'ports' && d.batch?.no === 1);
    const placed = (v: RepairView, no: number, min: number) =>
      told(v, min, { type: 'mix.placed', mixId: v.mixes.find((x) => x.batchNo === no)?.id });
    const one = placed(view, 1, task.fromMin);
    expect(handOf(one, task.fromMin)).toBe('mix.paste/2');
    const two = told(one, task.fromMin + 2, {
      type: 'mix.start',
      batchNo: 2,
      aG: 1,
      bG: 1,
      lot: '',
    });
    expect(handOf(placed(two, 2, task.fromMin + 4), task.fromMin + 5)).toBe('mix.paste/2');
  });

  test('a window that closed before the next step brings its step back, with the reason', () => {
    const { plan, tasks, upTo, handOf } = job('JH-2');
    const link = plan.links.find(
      (l) => 'step' in l.from && l.from.step === 'gate' && l.instead.length === 0,
    );
    if (!link || !('step' in link.from)) throw new Error('no window');
    const { step: from } = link.from;
    const { view, task } = upTo((d) => d.step.id === link.to);
    const most = link.most ?? 0;
    const done = tasks.find((d) => d.step.id === from)?.toMin ?? 0;
    const [closing] = closingWindows(view, momentOf(view, task.fromMin)).filter(
      (c) => c.to.id === link.to && c.why === link.why,
    );
    expect(closing?.at).toBeCloseTo(momentOf(view, done + most), -3);
    const step = plan.steps.find((s) => s.id === from);
    if (!step) throw new Error('no step');
    expect(repeatReason(step, { view, plan, now: momentOf(view, done + most - 1) })).toBeNull();
    expect(handOf(view, done + most - 1)).toBe(task.id);
    expect(repeatReason(step, { view, plan, now: momentOf(view, done + most + 1) })).toEqual(
      link.why,
    );
    expect(handOf(view, done + most + 1)).toBe(from);
    // None of its windows is open once it has begun.
    const { batch } = task;
    if (batch) {
      const { no: batchNo, aG, bG } = batch;
      const begun = told(view, task.fromMin, { type: 'mix.start', batchNo, aG, bG, lot: '' });
      expect(
        closingWindows(begun, momentOf(view, task.fromMin)).some((c) => c.to.id === link.to),
      ).toBe(false);
      expect(
        repeatReason(step, { view: begun, plan, now: momentOf(view, done + most + 1) }),
      ).toBeNull();
    }
  });
});

describe('the pace of the work', () => {
  const { plan, tasks, upTo } = job('JH-2');
  const start = Date.parse(plan.survey.window.startAt);
  const paceAt = (task: Task, atMin: number, mixes: readonly MixedBatch[] = [], from = atMin) =>
    paceOf(plan, {
      tasks,
      at: task,
      mixes,
      now: start + atMin * MINUTE,
      zone: 'UTC',
      notBefore: start + from * MINUTE,
    });
  const { task: mask } = upTo((d) => d.step.name === 'mask');

  test('behind, ahead or on time, and the effect on the return to service', () => {
    const even = paceAt(mask, mask.fromMin + 1);
    expect(even.behindMin).toBe(0);
    const late = paceAt(mask, mask.toMin + 90);
    expect(late.behindMin).toBeCloseTo(90, 6);
    expect(word(late.say)).toMatch(/^1 h 30 min behind the plan: back in service /);
    expect(late.inTime).toBe(true);
    const early = paceAt(mask, mask.fromMin - 25);
    expect(early.behindMin).toBeCloseTo(-25, 6);
    expect(word(early.say)).toMatch(/^25 min ahead of the plan: /);
    // So late that the plant must wait.
    const { downMin } = plan.survey.window;
    const missed = paceAt(mask, mask.toMin + (downMin - plan.readyMin) + 30);
    expect(missed.inTime).toBe(false);
    expect(word(missed.say)).toMatch(/ 30 min late\.$/);
  });

  test('a task that may not begin yet is not behind', () => {
    const open = tasks.find((d) => d.step.name === 'open');
    if (!open) throw new Error('nothing to open');
    expect(paceAt(open, open.fromMin - 200, [], open.fromMin).behindMin).toBe(0);
    expect(paceAt(open, open.fromMin - 200).behindMin).toBeCloseTo(-200, 6);
  });

  test('the remaining working life is compared with the remaining work', () => {
    const wet = tasks.find((d) => d.step.name === 'wet-metal');
    if (!wet?.batch) throw new Error('no batch');
    const { batch } = wet;
    const use = usableMinutes(batch);
    const left = tasks
      .filter((d) => d.batch?.no === batch.no && d.fromMin >= wet.fromMin)
      .reduce((sum, d) => sum + d.toMin - d.fromMin, 0);
    const opened = (agoMin: number) => [
      {
        batchNo: batch.no,
        startedAt: start + (600 - agoMin) * MINUTE,
        placedAt: null,
        binned: false,
      },
    ];
    const fresh = paceAt(wet, 600, opened(1)).batch;
    expect(fresh?.spareMin).toBeCloseTo(use - 1 - left, 6);
    expect(fresh && word(fresh.say)).toMatch(/ of working life left for .* of work\.$/);
    const short = paceAt(wet, 600, opened(use - left / 2)).batch;
    expect(short?.spareMin).toBeCloseTo(-left / 2, 6);
    expect(short && word(short.say)).toMatch(/get a helper, or throw away/);
    const figure = (minutes: number) => word(m('{minutes}', { minutes: q(minutes, 'time') }));
    expect(fresh && word(fresh.say)).toBe(
      `${figure(use - 1)} of working life left for ${figure(left)} of work.`,
    );
    const just = paceAt(wet, 600, opened(use)).batch;
    expect(just && word(just.say)).toBe('Placing time is over: stop using this batch.');
    const over = paceAt(wet, 600, opened(use + 1)).batch;
    expect(over && word(over.say)).toBe('Placing time is over: stop using this batch.');
    // A placed, discarded or other batch is not an open batch.
    for (const gone of [{ placedAt: start }, { binned: true }, { batchNo: 99 }])
      expect(
        paceAt(
          wet,
          600,
          opened(1).map((x) => ({ ...x, ...gone })),
        ).batch,
      ).toBeNull();
    expect(paceAt(mask, 600, opened(1)).batch).toBeNull();
  });
});
