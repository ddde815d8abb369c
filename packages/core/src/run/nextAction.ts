import { MILESTONE_NAMES } from '../materials/milestones';
import { MINUTE } from '../units/clock';
import { m, type Message } from '../message/message';
import { clockText, dayClockText } from '../schedule/clock';
import type { Zone } from '../units/zone';
import type { SummaryRound, PlanSummary } from './planSummary';
import { stripOf, type Strip } from './strip';

/** A batch as it was mixed: moments in epoch ms. */
export interface MixedBatch {
  batchNo: number;
  startedAt: number;
  placedAt: number | null;
  binned: boolean;
}

export const PHASES = [
  'place',
  'overcoat-wait',
  'overcoat',
  'overcoat-missed',
  'cure',
  'ready',
] as const;

/** The next action in a running repair: the moment its clock counts to, the text, and the urgency. */
export interface NextAction {
  phase: (typeof PHASES)[number];
  clockTo: number | null;
  say: Message;
  second: Message;
  /** The same for a list, a few words. */
  short: Message;
  strip: Strip;
  round: SummaryRound;
}

/** The batches that count: those not thrown away, in order of mixing. */
const sound = (mixes: readonly MixedBatch[]): MixedBatch[] =>
  mixes.filter((x) => !x.binned).sort((a, b) => a.startedAt - b.startedAt);

const allBatches = ({ rounds }: Pick<PlanSummary, 'rounds'>) => rounds.flatMap((r) => r.batches);
/** The round of a batch. */
export const roundOfBatch = (
  { rounds }: Pick<PlanSummary, 'rounds'>,
  no: number,
): SummaryRound | undefined => rounds.find((r) => r.batches.some((b) => b.no === no));

/** Numbers of the planned batches that are not mixed yet, in order. */
export function openBatches(
  plan: Pick<PlanSummary, 'rounds'>,
  mixes: readonly MixedBatch[],
): number[] {
  const done = new Set(sound(mixes).map((x) => x.batchNo));
  return allBatches(plan)
    .map((b) => b.no)
    .sort((a, b) => a - b)
    .filter((no) => !done.has(no));
}

/** First and last counted mix of a round; null before it begins. */
export function mixedOf(
  round: { batches: readonly { no: number }[] },
  mixes: readonly MixedBatch[],
): { first: number; last: number } | null {
  const own = sound(mixes).filter((x) => round.batches.some((b) => b.no === x.batchNo));
  const [first, last] = [own[0], own.at(-1)];
  return first && last ? { first: first.startedAt, last: last.startedAt } : null;
}

/** When everything that the service loads is cured; null until all is mixed. */
export function curedAt(plan: PlanSummary, mixes: readonly MixedBatch[]): number | null {
  if (openBatches(plan, mixes).length > 0) return null;
  const ends = plan.rounds
    .filter((r) => r.needed !== null)
    .flatMap((r) => {
      const mixed = mixedOf(r, mixes);
      return mixed ? [stripOf(plan, r, mixed.last).ready] : [];
    });
  return ends.length > 0 ? Math.max(...ends) : null;
}

/** The input from which the next action is calculated. */
interface Mixed {
  plan: PlanSummary;
  mixes: readonly MixedBatch[];
  now: number;
  zone: Zone;
  /** The round of the last batch that was mixed and not thrown away, and its cure strip. */
  round: SummaryRound;
  strip: Strip;
  last: MixedBatch;
}

/** The action while a mixed batch is to be placed within its working life. */
function toPlace({ plan, now, zone, round }: Mixed, wet: MixedBatch): NextAction {
  const clock = (at: number) => dayClockText(at, now, zone);
  const own = roundOfBatch(plan, wet.batchNo) ?? round;
  const batch = own.batches.find((b) => b.no === wet.batchNo);
  const placeBy = wet.startedAt + (batch?.useMin ?? 0) * MINUTE;
  const ends = wet.startedAt + (batch?.lifeMin ?? 0) * MINUTE;
  const missed = now > ends;
  return {
    phase: 'place',
    clockTo: placeBy,
    say: missed
      ? m('Stop. Working life is over: spread the rest thin, throw it away.')
      : m('Place it by {at}.', { at: clockText(placeBy, zone) }),
    second: missed
      ? m('Working life ended {at}.', { at: clock(ends) })
      : m('Stop using this batch at {at}.', { at: clockText(ends, zone) }),
    short: missed ? m('throw it away') : m('place {at}', { at: clockText(placeBy, zone) }),
    strip: stripOf(plan, own, wet.startedAt),
    round: own,
  };
}

/** The action while the next round is to be applied within the overcoat window of the round below it. */
function toOvercoat(
  { mixes, now, zone, round, strip, last }: Mixed,
  following: SummaryRound,
): NextAction {
  const clock = (at: number) => dayClockText(at, now, zone);
  const common = { strip, round };
  const mixed = mixedOf(round, mixes) ?? { first: last.startedAt, last: last.startedAt };
  const from = mixed.last + (round.next?.least ?? 0) * MINUTE;
  const most = round.next?.most ?? null;
  const to = most === null ? null : mixed.first + most * MINUTE;
  if (now < from)
    return {
      phase: 'overcoat-wait',
      clockTo: from,
      say: m('{round} from {at}{closes, select, yes {,} other {.}}', {
        round: following.name,
        at: clock(from),
        closes: to === null ? 'no' : 'yes',
      }),
      second:
        to === null
          ? m('Not before {round} is ready.', { round: round.name })
          : m('and before {at}.', { at: clock(to) }),
      short: m('{round} {at}', { round: following.name, at: clock(from) }),
      ...common,
    };
  if (to === null || now <= to)
    return {
      phase: 'overcoat',
      clockTo: to,
      say:
        to === null
          ? m('{round} next.', { round: following.name })
          : m('{round} before {at},', { round: following.name, at: clock(to) }),
      second:
        to === null ? m('{round} is ready for it.', { round: round.name }) : m('or abrade first.'),
      short:
        to === null
          ? m('{round} next', { round: following.name })
          : m('{round} before {at}', { round: following.name, at: clock(to) }),
      ...common,
    };
  return {
    phase: 'overcoat-missed',
    clockTo: null,
    say: m('Abrade first.'),
    second: m('The window closed {at}.', { at: clock(to) }),
    short: m('abrade'),
    ...common,
  };
}

/** The action after all batches are mixed: wait for the cure, then inspect. */
function toCure({ plan, mixes, now, zone, round, strip }: Mixed): NextAction {
  const clock = (at: number) => dayClockText(at, now, zone);
  const main = plan.rounds.find((r) => r.id === plan.mainRound) ?? round;
  const name = MILESTONE_NAMES[plan.needed];
  const ready = curedAt(plan, mixes) ?? strip.ready;
  const mainMixed = mixedOf(main, mixes);
  const shown = mainMixed
    ? { ...stripOf(plan, main, mainMixed.last), ready, late: ready > plan.deadline }
    : strip;
  if (now < ready)
    return {
      phase: 'cure',
      clockTo: ready,
      say: m('Ready for {name} at {at},', { name, at: clock(ready) }),
      second: m('needed by {at}{late, select, yes {: late} other {}}.', {
        at: clock(plan.deadline),
        late: ready > plan.deadline ? 'yes' : 'no',
      }),
      short: m('{name} {at}', { name, at: clock(ready) }),
      strip: shown,
      round: main,
    };
  return {
    phase: 'ready',
    clockTo: null,
    say: m('Cured. Inspect and accept.'),
    second: m('Ready for {name} since {at}.', { name, at: clock(ready) }),
    short: m('inspect'),
    strip: shown,
    round: main,
  };
}

/** The next action of a repair once mixing has begun; null before. `now` in epoch ms. */
export function nextAction(
  plan: PlanSummary,
  mixes: readonly MixedBatch[],
  { now, zone }: { now: number; zone: Zone },
): NextAction | null {
  const all = sound(mixes);
  const last = all.at(-1);
  const round = last && roundOfBatch(plan, last.batchNo);
  if (!last || !round) return null;
  const strip = stripOf(plan, round, last.startedAt);
  const mixed = { plan, mixes, now, zone, round, strip, last };
  const wet = all.find((x) => x.placedAt === null);
  if (wet) return toPlace(mixed, wet);
  const next = openBatches(plan, mixes)[0];
  const following = next === undefined ? undefined : roundOfBatch(plan, next);
  if (next !== undefined && following?.id === round.id) {
    const ends = strip.segments[1]?.to ?? strip.start;
    return {
      phase: 'overcoat',
      clockTo: ends,
      say: m('Mix batch {no} before the last one sets.', { no: next }),
      second: m('It sets at {at}.', { at: dayClockText(ends, now, zone) }),
      short: m('mix batch {no}', { no: next }),
      ...{ strip, round },
    };
  }
  return following ? toOvercoat(mixed, following) : toCure(mixed);
}
