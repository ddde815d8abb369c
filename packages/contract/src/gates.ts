import {
  curedAt,
  dayClockText,
  planSummaryOf,
  m,
  MINUTE,
  planBatches,
  q,
  STATIONS,
  type Message,
  type Plan,
  type SiteSettings,
  type StationId,
  type Step,
} from '@kelmot/core';
import { runPlan } from '@kelmot/core/run/runPlan';
import { cureReadings } from './cureRecord';
import { mixedBatches, countedMixes } from './done';
import type { Me } from './people';
import { openForBatch, openHolds, openHoldsOfJob } from './progress';
import type { RepairView } from './repair';
import { runningPlan } from './running';
import { correctionOf, weighedFor, type ScalePour } from './weighed';

/** Why something may not be done: for buttons, for optimistic updates and for the server. */
export interface GateRefusal {
  /** What would change it: the state, open steps, an input, time, or another person. */
  by: 'state' | 'open' | 'input' | 'cure' | 'clock' | 'person';
  title: Message;
  /** What must be done, first things first; or the remedy. */
  why: Message[];
  /** The input to correct. */
  field?: 'aG' | 'bG' | 'batchNo' | 'override';
}

const held = (
  by: GateRefusal['by'],
  { title, why = [], field }: { title: Message; why?: Message[]; field?: GateRefusal['field'] },
): GateRefusal => ({
  by,
  title,
  why,
  ...(field ? { field } : {}),
});
const NO_PLAN = held('open', {
  title: m('Choose a system first'),
  why: [m('there is no plan yet')],
});

/** The deviation of a batch from its ratio, percent; null if nothing is weighed, or not yet. */
export function deviationOf(
  { plan }: Pick<RepairView, 'plan'>,
  batchNo: number,
  scale: ScalePour,
): number | null {
  return (plan && weighedFor(plan.body, batchNo, scale)?.found?.deviationPct) ?? null;
}

/**
 * Why a batch may not be mixed at a moment, epoch ms; null if it may: every hold before its round is met, rounds and
 * batches are in order, the ratio is right, and it was not mixed before.
 */
export function mayMix(
  view: RepairView,
  { batchNo, scale, now }: { batchNo: number; scale: ScalePour; now: number },
): GateRefusal | null {
  const plan = view.plan?.body;
  if (!plan) return NO_PLAN;
  const batches = planBatches(plan);
  const batch = batches.find((b) => b.no === batchNo);
  if (!batch)
    return held('input', {
      title: m('Input out of range'),
      why: [m('must be 1 to {n}', { n: batches.length })],
      field: 'batchNo',
    });
  if (countedMixes(view.mixes).some((x) => x.batchNo === batch.no))
    return held('state', {
      title: m('Batch {no} is mixed already', { no: batch.no }),
      why: [m('To mix it again, throw it away first.')],
    });
  const open = openForBatch(view, batch.no, now);
  if (open.length > 0) return held('open', { title: m('Not ready to mix'), why: open });
  return offRatio(plan, batch.no, scale);
}

/** Why the weighed parts may not be mixed: not weighed yet, or off ratio, with the correction. */
function offRatio(plan: Plan, batchNo: number, scale: ScalePour): GateRefusal | null {
  const weighed = weighedFor(plan, batchNo, scale);
  if (!weighed) return null;
  const { weigh, found } = weighed;
  if (!found)
    return held('input', {
      title: m('Weigh both parts first'),
      why: [m('must be what the scale shows, in g')],
      field: scale.aG === null ? 'aG' : 'bG',
    });
  if (found.verdict === 'in') return null;
  const { much, part, field } = correctionOf(weigh, found);
  const add = m('add {much} {part}', { much, part });
  const title = m('Off ratio by {off}; {most} is the most', {
    off: q(Math.abs(found.deviationPct), 'percent'),
    most: q(weigh.tolerancePct, 'percent'),
  });
  return held('input', { title, why: [add], field });
}

/**
 * Why a repair may not move to a station at a moment, epoch ms; null if it may. Back always; forward if no hold before
 * the new station is open.
 */
export function mayMove(view: RepairView, station: StationId, now: number): GateRefusal | null {
  const to = STATIONS.indexOf(station);
  if (to <= STATIONS.indexOf(view.station)) return null;
  if (!view.plan) return to > STATIONS.indexOf('match') ? NO_PLAN : null;
  const open = openHolds(view, station, now);
  return open.length > 0 ? held('open', { title: m('Open hold points'), why: open }) : null;
}

/** Allowed difference between a device's clock and the server’s, ms. */
export const CLOCK_SLACK = 10 * MINUTE;

/**
 * When the cure ends by the server’s clock, epoch ms: from the receipt of each batch, whatever the device says. A batch
 * that is still queued counts from now. Null until all is mixed.
 */
export function curedByServer(view: RepairView, now: number): number | null {
  const plan = view.plan?.body;
  if (!plan) return null;
  const seen = view.mixes.map((x) => {
    const had = x.receivedAt === null ? now : Date.parse(x.receivedAt) - CLOCK_SLACK;
    const startedAt = new Date(Math.max(Date.parse(x.startedAt), had)).toISOString();
    return { ...x, startedAt };
  });
  const runs = runPlan(plan, cureReadings(view), mixedBatches(seen)).plan;
  return curedAt(planSummaryOf(runs), mixedBatches(seen));
}

/** The input for judging a sign-off. */
export interface Signing {
  verdict: 'accepted' | 'redo';
  /** Why it is signed although the server has not seen the end of the cure; null: no reason given. */
  override: string | null;
}

/** Roles that may sign although the server has not seen the end of the cure. */
const OVERRIDES: readonly Me['role'][] = ['planner'];

/** Whether a role may sign off, with a reason, work that was done without signal and sent later. */
export const mayOverride = ({ role }: Pick<Me, 'role'>): boolean => OVERRIDES.includes(role);

/** Steps that can never be overridden: lock, permit, and approvals. */
const NEVER: readonly Step['does'][] = ['safe', 'approve'];

/** Why a person may not override the hold of a step; null if they may, with a reason. */
export function mayGoOnWithout(
  { hold, does, eachBatch }: Pick<Step, 'hold' | 'does' | 'eachBatch'>,
  who: Pick<Me, 'role'>,
): GateRefusal | null {
  if (hold === null || eachBatch || hold.kind === 'approval' || NEVER.includes(does))
    return held('input', { title: m('This cannot be skipped'), why: [m('Do this step.')] });
  if (!mayOverride(who))
    return held('person', {
      title: m('Only a planner can skip this, with a reason'),
      why: [m('Do this step, or ask a planner.')],
    });
  return null;
}

/** Whether a plan needs a second person's signature: never, where approval is needed, or always. */
function wantsSecond(
  view: RepairView,
  { secondSigns }: Pick<SiteSettings, 'secondSigns'>,
): boolean {
  const approved = view.plan?.body.steps.some((s) => s.hold?.kind === 'approval') ?? false;
  return secondSigns === 'always' || (secondSigns === 'approved' && approved);
}

/**
 * Why a person may not sign a repair off, at a moment of the device and of the server, epoch ms; null if they may. Redo
 * only needs a plan. Accepted: every hold met, the cure over, and a second person if the site says so.
 */
export function maySign(
  view: RepairView,
  {
    signing: { verdict, override },
    who,
    site,
    now,
  }: {
    signing: Signing;
    who: Pick<Me, 'id' | 'role'>;
    site: Pick<SiteSettings, 'secondSigns' | 'zone'>;
    now: { device: number; server: number };
  },
): GateRefusal | null {
  const plan = view.plan?.body;
  if (!plan)
    return held('open', { title: m('Nothing to sign off'), why: [m('there is no plan yet')] });
  if (verdict === 'redo') return null;
  const open = openHoldsOfJob(view, now.device);
  if (open.length > 0) return held('open', { title: m('Open hold points'), why: open });
  const ready = curedAt(planSummaryOf(runningPlan(view) ?? plan), mixedBatches(view.mixes));
  if (ready === null)
    return held('cure', { title: m('Not cured yet'), why: [m('No batch was mixed.')] });
  if (ready > now.device)
    return held('cure', {
      title: m('Not cured yet'),
      why: [m('Cured at {at}', { at: dayClockText(ready, now.device, site.zone) })],
    });
  const inspected = new Set(plan.steps.filter((s) => s.station === 'accept').map((s) => s.id));
  // The final inspector is the second person; inspecting does not count as work.
  const work = [...view.mixes, ...view.checks.filter((c) => !inspected.has(c.stepId))];
  const worked = work.some((x) => x.byId === who.id);
  if (worked && wantsSecond(view, site))
    return held('person', {
      title: m('A second person must sign'),
      why: [m('You worked on this repair. Ask someone who did not.')],
    });
  const seen = curedByServer(view, now.server);
  if (seen === null || seen <= now.server || (override !== null && mayOverride(who))) return null;
  return held('clock', {
    title: m('Not cured yet by the server’s clock'),
    why: [
      m(
        'By the server’s clock the cure ends {at}. For work entered later, a planner signs with a reason.',
        {
          at: dayClockText(seen, now.server, site.zone),
        },
      ),
    ],
    field: 'override',
  });
}
