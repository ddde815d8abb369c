import { celsius, joined, minutes, mm } from '@kelmot/core/message/message';
import { m, MINUTE, planBatches, q, type Hold, type Message, type Plan, t } from '@kelmot/core';
import type { Recorded } from './done';
import { isOfRepair, titleOfRepair } from './ofRepair';
import { type RepairView, type StoryLine, type StoryMark } from './repair';
import { SIGNOFF_NAMES, type Check, type Mix, type Reading, type Signoff } from './records';

export const MARK_NAMES: Record<StoryMark, string> = {
  failed: t('Stop'),
  late: t('Working life over'),
  override: t('Override'),
  unverified: t('Not verified'),
  undone: t('Undone'),
};

/** The limit of a hold's reading; null if it has none. */
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

/** The instrument of a reading; null if typed. */
const instrumentFor = (instrument: string | undefined): Message | null =>
  instrument === undefined ? null : m('Read by {instrument}.', { instrument });

function readingLine(reading: Reading, plan: Plan): StoryLine {
  const { id, takenAt, stepId, values, passed, say, by } = reading;
  const step = plan.steps.find((s) => s.id === stepId);
  const typed = values.kind === 'approval' && values.account === null;
  const from = 'instrument' in values ? instrumentFor(values.instrument) : null;
  return {
    ...own,
    ...{ id, at: takenAt, by, say: joined([say, from]) },
    title: isOfRepair(values) ? titleOfRepair(values) : (step?.title ?? m('{stepId}', { stepId })),
    limit: step?.hold && values.kind !== 'timed' ? limitOf(step.hold, plan) : null,
    mark: !passed
      ? 'failed'
      : values.kind === 'override'
        ? 'override'
        : typed
          ? 'unverified'
          : null,
  };
}

/** A batch has up to two lines: its start, and its end; a late end is marked. */
function batchLines(mix: Mix, plan: Plan): StoryLine[] {
  const { id, batchNo: no, aG, bG, deviationPct, lot, startedAt, placedAt, binnedAt, by } = mix;
  const weighed =
    aG === null || bG === null
      ? null
      : m('{base} and {hardener}, {off} off its ratio.', {
          base: q(aG, 'mass'),
          hardener: q(bG, 'mass'),
          off: q(deviationPct ?? 0, 'percent'),
        });
  const from = lot === '' ? null : m('Lot {lot}.', { lot });
  const parts = [weighed, instrumentFor(mix.instrument), from].filter((part) => part !== null);
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
    title: placedAt === null ? m('Batch {no} thrown away', { no }) : m('Batch {no} placed', { no }),
    say: m('{took} after mixing.', { took: minutes(took) }),
    limit:
      placedAt !== null && life < Infinity ? m('{life} or less', { life: minutes(life) }) : null,
    mark: late ? 'late' : null,
  };
  return [begun, end];
}

/** Why something was signed before the server had seen the end of the cure, for display. */
export const overrideText = (override: string): Message =>
  m('Signed before the end of the cure by the server’s clock: {override}', { override });

function signoffLine({ id, at, verdict, statement, override, name }: Signoff): StoryLine {
  const found = m('{statement}', { statement });
  return {
    ...own,
    ...{ id, at, by: name },
    title: m(SIGNOFF_NAMES[verdict]),
    say: override === null ? found : joined([found, overrideText(override)]),
    mark: verdict === 'redo' ? 'failed' : override === null ? null : 'override',
  };
}

/** The records of a plan; `number` for an earlier one. */
export const recordedLines = (
  plan: Plan,
  { checks, readings, mixes }: Omit<Recorded, 'plan'>,
  number: number | null,
): StoryLine[] =>
  [
    ...checks.map((c) => tickLine(c, plan)),
    ...readings.map((r) => readingLine(r, plan)),
    ...mixes.flatMap((x) => batchLines(x, plan)),
  ].map((line) => ({ ...line, plan: number }));

/**
 * The whole record of a repair in order of time, each reading against its limit, with marks for what needs attention.
 */
export function storyOf(view: RepairView): StoryLine[] {
  const present = view.plan ? recordedLines(view.plan.body, view, null) : [];
  return [...view.earlier, ...present, ...view.signoffs.map(signoffLine)].sort(
    (p, r) => Date.parse(p.at) - Date.parse(r.at),
  );
}
