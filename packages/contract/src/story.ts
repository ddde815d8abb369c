import { celsius, joined, minutes, mm } from '@kelmot/core/message/message';
import { m, MINUTE, planBatches, q, type Hold, type Message, type Plan } from '@kelmot/core';
import type { Check, Mix, Reading, RepairView, Signoff } from './repair';

/** What is said of a line beside what it says: it needs an eye. */
export const STORY_MARKS = ['failed', 'late', 'override', 'unverified', 'undone'] as const;
export type StoryMark = (typeof STORY_MARKS)[number];
export const MARK_NAMES: Record<StoryMark, string> = {
  failed: 'Stop',
  late: 'Past its life',
  override: 'Override',
  unverified: 'Not verified',
  undone: 'Taken back',
};

/** One thing that happened on a repair, as its record tells it. */
export interface StoryLine {
  id: string;
  /** When, by the device that recorded it. */
  at: string;
  title: Message;
  /** What was found or written, with the number; null where there is nothing to say. */
  say: Message | null;
  /** What it is held against; null where nothing is measured. */
  limit: Message | null;
  mark: StoryMark | null;
  by: string;
  /** The number of the earlier plan that it belongs to; null: the present one. */
  plan: number | null;
}

/** What a reading of a hold is held against; null where it has no limits. */
function limitOf(hold: Hold, plan: Plan): Message | null {
  switch (hold.kind) {
    case 'reading': {
      const [min, max] = [hold.min, hold.max].map((v) => (v === null ? null : q(v, hold.quantity)));
      if (min && max) return m('{min} to {max}', { min, max });
      if (min) return m('{min} or more', { min });
      return max ? m('{max} or less', { max }) : null;
    }
    case 'hardness':
      return m('Shore {scale} {target} or more', { scale: hold.scale, target: hold.target });
    case 'thickness':
      return m('mean {target} or more, none under {floor}', {
        target: mm(hold.targetMm),
        floor: mm(hold.targetMm * hold.leastShare),
      });
    case 'ambient': {
      const { minAboveDewC, maxRhPct, minSurfaceC, maxSurfaceC } = plan.card.ambient;
      return m('{margin} or more above dew point, {rh} or less, surface {cold} to {hot}', {
        margin: q(minAboveDewC, 'temperatureStep'),
        rh: q(maxRhPct, 'percent'),
        cold: celsius(minSurfaceC),
        hot: celsius(maxSurfaceC),
      });
    }
    default:
      return null;
  }
}

const said = (text: string): Message | null => (text === '' ? null : m('{text}', { text }));
const own = { limit: null, mark: null, plan: null } as const;

function tickLine(check: Check, plan: Plan): StoryLine {
  const { id, at, stepId, batchNo, done, note, by } = check;
  const title = plan.steps.find((s) => s.id === stepId)?.title ?? m('{stepId}', { stepId });
  return {
    ...own,
    ...{ id, at, by, say: said(note) },
    title: batchNo === null ? title : m('{title}, batch {no}', { title, no: batchNo }),
    mark: done ? null : 'undone',
  };
}

function readingLine(reading: Reading, plan: Plan): StoryLine {
  const { id, takenAt, stepId, values, passed, say, by } = reading;
  const step = plan.steps.find((s) => s.id === stepId);
  const typed = values.kind === 'approval' && values.account === null;
  return {
    ...own,
    ...{ id, at: takenAt, by, say },
    title: step?.title ?? m('{stepId}', { stepId }),
    limit: step?.hold ? limitOf(step.hold, plan) : null,
    mark: passed ? (typed ? 'unverified' : null) : 'failed',
  };
}

/** A batch is up to two lines: when its parts met, and how it ended; one that was placed past its life shows it. */
function batchLines(mix: Mix, plan: Plan): StoryLine[] {
  const { id, batchNo: no, aG, bG, deviationPct, lot, startedAt, placedAt, binnedAt, by } = mix;
  const weighed =
    aG === null || bG === null
      ? null
      : m('{a} and {b}, {off} off its ratio.', {
          a: q(aG, 'mass'),
          b: q(bG, 'mass'),
          off: q(deviationPct ?? 0, 'percent'),
        });
  const from = lot === '' ? null : m('Lot {lot}.', { lot });
  const parts = [weighed, from].filter((part) => part !== null);
  const begun: StoryLine = {
    ...own,
    ...{ id, at: startedAt, by, title: m('Batch {no} mixed', { no }) },
    say: parts.length > 0 ? joined(parts) : null,
  };
  const ended = placedAt ?? binnedAt;
  if (ended === null) return [begun];
  const life = planBatches(plan).find((b) => b.no === no)?.lifeMin ?? Infinity;
  const took = (Date.parse(ended) - Date.parse(startedAt)) / MINUTE;
  const late = placedAt !== null && took > life;
  const end: StoryLine = {
    ...own,
    ...{ id: `${id}/end`, at: ended, by },
    title: placedAt === null ? m('Batch {no} binned', { no }) : m('Batch {no} placed', { no }),
    say: m('{took} after it was mixed.', { took: minutes(took) }),
    limit:
      placedAt !== null && life < Infinity ? m('{life} or less', { life: minutes(life) }) : null,
    mark: late ? 'late' : null,
  };
  return [begun, end];
}

function signoffLine({ id, at, verdict, statement, override, name }: Signoff): StoryLine {
  const why =
    override === null
      ? null
      : m('Signed before the server had seen the cure pass: {override}', { override });
  return {
    ...own,
    ...{ id, at, by: name },
    title:
      verdict === 'accepted'
        ? m('Accepted, returned to service')
        : m('Not accepted: to be done again'),
    say: why ? m('{statement} {why}', { statement, why }) : m('{statement}', { statement }),
    mark: verdict === 'redo' ? 'failed' : why ? 'override' : null,
  };
}

/** The whole record of a repair in the order of time, each reading against its limit, what needs an eye marked. */
export function storyOf(view: RepairView): StoryLine[] {
  const plan = view.plan?.body;
  const now = plan
    ? [
        ...view.checks.map((c) => tickLine(c, plan)),
        ...view.readings.map((r) => readingLine(r, plan)),
        ...view.mixes.flatMap((x) => batchLines(x, plan)),
      ]
    : [];
  const before = view.earlier.map(({ id, at, by, title, say, plan: number }): StoryLine => ({
    ...own,
    ...{ id, at, by, title, say, plan: number },
  }));
  return [...before, ...now, ...view.signoffs.map(signoffLine)].sort(
    (p, r) => Date.parse(p.at) - Date.parse(r.at),
  );
}
