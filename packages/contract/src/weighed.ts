import { grams, type Quantified } from '@kelmot/core/message/message';
import {
  checkWeighed,
  m,
  MINUTE,
  planBatches,
  q,
  usableMinutes,
  weighing,
  type Message,
  type Mix,
  type Plan,
  type PlanBatch,
  type SystemCard,
  type Weighing,
} from '@kelmot/core';
import type { MixCheck } from '@kelmot/core/mix/mixCheck';
import { mixStages, type MixStage } from '@kelmot/core/materials/stages';
import type { Mix as MixRecord } from './records';

/** The card of a batch's round. */
function cardOfBatch(plan: Plan, batch: Pick<PlanBatch, 'round'>): SystemCard {
  const round = plan.rounds.find((r) => r.id === batch.round);
  return (round && plan.cards[round.card.code]) ?? plan.card;
}

/** How the material of a batch is prepared. */
export const mixOf = (plan: Plan, batch: Pick<PlanBatch, 'round'>): Mix =>
  cardOfBatch(plan, batch).mix;

type Begun = Pick<MixRecord, 'startedAt'>;

/** The stages of a started batch before placing, in order, with the end of each, epoch ms. */
export function batchStages(
  plan: Plan,
  batch: Pick<PlanBatch, 'round'>,
  { startedAt }: Begun,
): (MixStage & { ends: number })[] {
  let ends = Date.parse(startedAt);
  return mixStages(mixOf(plan, batch), plan.schools).map((stage) => {
    ends += stage.minutes * MINUTE;
    return { ...stage, ends };
  });
}

/** The moments of a started batch, epoch ms: mixed, place by, end of working life. */
export function batchMoments(
  plan: Plan,
  batch: PlanBatch,
  mix: Begun,
): { mixed: number; placeBy: number; ends: number } {
  const at = (minutes: number) => Date.parse(mix.startedAt) + minutes * MINUTE;
  const stages = batchStages(plan, batch, mix).map((stage) => stage.ends);
  return {
    mixed: Math.max(at(mixOf(plan, batch).mixMinutes), ...stages),
    placeBy: at(usableMinutes(batch)),
    ends: at(batch.lifeMin),
  };
}

/** What the scale shows for both parts, g; null if nothing is weighed, or not yet. */
export interface ScalePour {
  aG: number | null;
  bG: number | null;
}

/** What is weighed for a batch, compared with the scale; null if nothing is weighed. */
export function weighedFor(
  plan: Plan,
  batchNo: number,
  { aG, bG }: ScalePour,
): { weigh: Weighing; found: MixCheck | null } | null {
  const batch = planBatches(plan).find((b) => b.no === batchNo);
  if (!batch || batch.aG === null) return null;
  const { slope } = plan.survey.surface;
  const [mix, { consistency }] = [mixOf(plan, batch), batch];
  const weigh = weighing(mix, consistency, slope);
  const whole = aG !== null && bG !== null;
  const found = whole ? checkWeighed(mix, { aG, bG }, { consistency, slope }) : null;
  return weigh && { weigh, found };
}

/** The short part, and the amount that corrects the ratio. */
export function correctionOf(
  { nameA, nameB }: Weighing,
  { addA_G, addB_G }: MixCheck,
): { much: Quantified; part: string; field: 'aG' | 'bG' } {
  const short = addB_G > 0;
  return {
    much: grams(short ? addB_G : addA_G),
    part: (short ? nameB : nameA).toLowerCase(),
    field: short ? 'bG' : 'aG',
  };
}

/** More than planned by this share is reported: a bigger batch has a shorter working life. */
const MORE_SHARE = 0.1;
/** A smaller deviation counts as on ratio, percent. */
const ON_RATIO_PCT = 0.05;

/** The text of the scale before mixing: what to weigh, whether the ratio is right, what to add. */
export function scaleText(
  weigh: Weighing,
  batch: Pick<PlanBatch, 'aG' | 'bG'>,
  { pour: { aG, bG }, found }: { pour: ScalePour; found: MixCheck | null },
): { good: boolean; say: Message } {
  const target = { aG: grams(batch.aG ?? 0), bG: grams(batch.bG ?? 0) };
  const names = { nameA: weigh.nameA.toLowerCase(), nameB: weigh.nameB.toLowerCase() };
  if (!found || aG === null || bG === null)
    return { good: true, say: m('Weigh {aG} {nameA}, {bG} {nameB}.', { ...target, ...names }) };
  const { deviationPct } = found;
  const { much, part } = correctionOf(weigh, found);
  const off = {
    part: weigh.nameB,
    off: q(Math.abs(deviationPct), 'percent'),
    side: deviationPct < 0 ? 'short' : 'over',
  };
  if (found.verdict === 'out')
    return {
      good: false,
      say: m(
        'Wrong ratio. {part} {off} {side, select, short {short} other {over}}; {most} is the most. Add {add} {to}.',
        {
          ...off,
          most: q(weigh.tolerancePct, 'percent'),
          add: much,
          to: part,
        },
      ),
    };
  const planned = (batch.aG ?? 0) + (batch.bG ?? 0);
  const more = aG + bG > planned * (1 + MORE_SHARE) ? 'yes' : 'no';
  return {
    good: true,
    say: m(
      'Ratio OK. {on, select, yes {Exact} other {{part} {off} {side, select, short {short} other {over}}}}.{more, select, yes { More than planned: the working life is shorter.} other {}}',
      { ...off, on: Math.abs(deviationPct) < ON_RATIO_PCT ? 'yes' : 'no', more },
    ),
  };
}
