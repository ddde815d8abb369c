import { m, type Message } from '../message/message';
import { clockText } from '../schedule/clock';
import { MINUTE } from '../units/clock';
import type { Zone } from '../units/zone';
import type { PlanSummary } from './planSummary';
import { nextAction, roundOfBatch, type MixedBatch, type NextAction } from './nextAction';

/** A moment of a running repair at which somebody must be told something, epoch ms. */
export interface Call {
  at: number;
  /** It cannot wait: material sets, or a window closes. */
  urgent: boolean;
  say: Message;
}

/** Share of a working life that is left when its warning comes. */
const LIFE_LEFT = 0.25;
/** A window's warning comes when this share of it is left, and at the earliest an hour before its end. */
const WINDOW_LEFT = 0.25;
const WINDOW_LEFT_MOST = 60 * MINUTE;
/** The moment of the warning for a window from `opens` to `closes`, epoch ms. */
export const soonAt = (opens: number, closes: number): number =>
  closes - Math.min((closes - opens) * WINDOW_LEFT, WINDOW_LEFT_MOST);

/** More calls than any repair has from its last mix to its sign-off. */
const MOST_CALLS = 12;

const told = ({ say, second }: NextAction): Message => m('{say} {second}', { say, second });

/** The calls of a batch during its working life, and at its end. */
function callsOfBatch(plan: PlanSummary, mixed: MixedBatch, zone: Zone): Call[] {
  const batch = roundOfBatch(plan, mixed.batchNo)?.batches.find((b) => b.no === mixed.batchNo);
  if (!batch) return [];
  const at = (minutes: number) => mixed.startedAt + minutes * MINUTE;
  const quarter = at(batch.lifeMin * (1 - LIFE_LEFT));
  const placeBy = at(batch.useMin);
  const values = { no: batch.no, at: clockText(Math.max(placeBy, quarter), zone) };
  const left: Call = {
    at: quarter,
    urgent: true,
    say:
      placeBy > quarter
        ? m('Batch {no}: a quarter of the working life is left. Place it by {at}.', values)
        : m('Batch {no}: a quarter of the working life is left. Stop placing it.', values),
  };
  const ended: Call = {
    at: at(batch.lifeMin),
    urgent: true,
    say: m(
      'Working life of batch {no} is over. Stop placing it. Spread it thin, then throw it away.',
      values,
    ),
  };
  return [left, ended];
}

/**
 * The calls of a running repair, in order of time: a quarter of a batch's working life left, its end, a window that
 * opens, will close soon and has closed, and the end of the cure. None before the first mix. Each call says the next
 * action at that time.
 */
export function callsOf(plan: PlanSummary, mixes: readonly MixedBatch[], zone: Zone): Call[] {
  const sound = mixes.filter((x) => !x.binned);
  const wet = sound.filter((x) => x.placedAt === null);
  if (wet.length > 0)
    return wet.flatMap((mixed) => callsOfBatch(plan, mixed, zone)).sort((p, q) => p.at - q.at);
  const calls: Call[] = [];
  let at = Math.max(...sound.map((x) => x.startedAt));
  let act = sound.length > 0 ? nextAction(plan, mixes, { now: at, zone }) : null;
  while (act?.clockTo && act.clockTo > at && calls.length < MOST_CALLS) {
    const { clockTo, phase } = act;
    if (phase === 'overcoat') {
      calls.push({ at: soonAt(at, clockTo), urgent: true, say: told(act) });
    }
    at = clockTo + 1;
    const then: NextAction | null = nextAction(plan, mixes, { now: at, zone });
    if (then && then.phase !== phase)
      calls.push({ at, urgent: then.phase === 'overcoat-missed', say: told(then) });
    act = then;
  }
  return calls;
}
