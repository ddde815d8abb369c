import { demandOfSurvey, type Survey } from '../families/registry';
import { judge } from '../match/match';
import { jobAlone, ownRounds } from '../match/outcome';
import type { SystemCard } from '../materials/card';
import type { SiteSettings } from '../site/site';
import type { QuantityId } from '../units/quantities';
import { packQuantity } from '../work/supplies';
import type { WorkContext } from '../work/context';
import type { Plan } from './plan';

/** Another open repair, as far as leftovers need it. */
export interface OpenSurvey {
  repairId: string;
  survey: Survey;
}

/** A leftover of a card that could do another whole repair. */
export interface LeftoverUse {
  repairId: string;
  code: string;
  /** From a batch: it must be placed within its working life. From a pack: as long as the opened pack keeps. */
  from: 'batch' | 'pack';
  /** The leftover, and the amount that the other repair takes, in the base unit of `quantity`. */
  left: number;
  takes: number;
  quantity: QuantityId;
  /** Minutes from mixing in which it may be used; null for a pack. */
  withinMin: number | null;
}

interface Left {
  card: SystemCard;
  from: LeftoverUse['from'];
  left: number;
  quantity: QuantityId;
  withinMin: number | null;
}

/** A plan's leftovers: in the last batch if whole kits are mixed, and in the packs that it opens. */
function leftOf(plan: Plan): Left[] {
  const mixed = plan.rounds.flatMap((r): Left[] => {
    const card = plan.cards[r.card.code];
    const last = r.batches.at(-1);
    return card && last && r.spareMl > 0
      ? [
          {
            card,
            from: 'batch',
            left: r.spareMl,
            quantity: 'volume',
            withinMin: last.placeByMin - last.mixedAtMin,
          },
        ]
      : [];
  });
  const packed = plan.supplies.flatMap((s): Left[] => {
    const card = s.code === null ? undefined : plan.cards[s.code];
    return card && s.leftover !== null && s.leftover > 0
      ? [{ card, from: 'pack', left: s.leftover, quantity: s.quantity, withinMin: null }]
      : [];
  });
  return [...mixed, ...packed];
}

/** What a card's job draws or mixes, in the leftovers' base unit; null if it does not fit. */
function takesOf(
  { card, from }: Left,
  { survey, site, context }: { survey: Survey; site: SiteSettings; context: WorkContext },
): number | null {
  const run = { demand: demandOfSurvey(survey, site), jobOf: jobAlone };
  const match = judge(survey, card, { site, context, run });
  if (match.verdict === 'no') return null;
  const own = ownRounds(match.job());
  return from === 'batch'
    ? own.reduce((sum, r) => sum + r.placedMl, 0)
    : own.reduce((sum, r) => sum + r.draw, 0) * packQuantity(card).scale;
}

/**
 * Which other open repairs a plan's leftovers could do completely: the same card fits, and there is enough. The one
 * that uses most first. Pure; about a millisecond for each repair of a family that the card serves.
 */
export function leftoverUses(
  plan: Plan,
  others: readonly OpenSurvey[],
  { site, context = {} }: { site: SiteSettings; context?: WorkContext },
): LeftoverUse[] {
  const uses = leftOf(plan).flatMap((left) =>
    others.flatMap(({ repairId, survey }): LeftoverUse[] => {
      if (!left.card.families.includes(survey.family)) return [];
      const takes = takesOf(left, { survey, site, context });
      if (takes === null || takes > left.left) return [];
      const { from, quantity, withinMin } = left;
      return [
        { repairId, code: left.card.code, from, left: left.left, takes, quantity, withinMin },
      ];
    }),
  );
  return uses.sort((a, b) => b.takes / b.left - a.takes / a.left);
}
