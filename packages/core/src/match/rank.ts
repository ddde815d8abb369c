import { t } from '../text/text';
import type { Intent } from '../materials/words';
import { m, minutes, q, type Message } from '../message/message';
import type { QuantityId } from '../units/quantities';
import { marginPct, type CardMatch } from './match';

const DAY_MIN = 1440;

export interface Criterion {
  id: string;
  name: string;
  quantity: QuantityId;
  better: 'more' | 'less';
  /** Weight of the criterion for each intent; each column adds up to 1. */
  weight: Record<Intent, number>;
  of: (match: CardMatch) => number | null;
}

/** Days of a year, for cost per year. */
export const YEAR_DAYS = 365;

/** The cost per expected year of life; null if cost or life is unknown. */
export const costPerYear = ({ totalCost, lifeDays }: CardMatch): number | null =>
  totalCost === null ? null : (totalCost / lifeDays) * YEAR_DAYS;

/**
 * The criteria of the ranking, all visible. Among cards with enough margin one decides by default: cost per year for
 * lasting repairs, time to service for stop-gaps. The others count if somebody gives them weight.
 */
export const criteria: Criterion[] = [
  {
    id: 'year',
    name: t('Cost per year'),
    quantity: 'money',
    better: 'less',
    weight: { lasting: 1, stopgap: 0 },
    of: costPerYear,
  },
  {
    id: 'ready',
    name: t('Time to service'),
    quantity: 'time',
    better: 'less',
    weight: { lasting: 0, stopgap: 1 },
    of: (m) => m.serviceMin,
  },
  {
    id: 'life',
    name: t('Expected life'),
    quantity: 'time',
    better: 'more',
    weight: { lasting: 0, stopgap: 0 },
    of: (m) => m.lifeDays * DAY_MIN,
  },
  {
    id: 'cost',
    name: t('Cost in all'),
    quantity: 'money',
    better: 'less',
    weight: { lasting: 0, stopgap: 0 },
    of: (m) => m.totalCost,
  },
  {
    id: 'margin',
    name: t('Tightest margin'),
    quantity: 'percent',
    better: 'more',
    weight: { lasting: 0, stopgap: 0 },
    of: (m) => m.marginPct,
  },
];

/** Weights of the criteria by id, set by a person; scaled to a sum of 1. */
export type Weights = Readonly<Record<string, number>>;

/** The weights for an intent, the person's own or the default ones, with sum 1. */
export function weightsOf(intent: Intent, own?: Weights): Record<string, number> {
  const raw = criteria.map((c) => [c.id, Math.max(0, own?.[c.id] ?? c.weight[intent])] as const);
  const sum = raw.reduce((s, [, w]) => s + w, 0);
  return Object.fromEntries(raw.map(([id, w]) => [id, sum > 0 ? w / sum : 1 / raw.length]));
}

export interface Scored {
  match: CardMatch;
  /** 0..1, the weighted sum of `parts`. */
  score: number;
  parts: {
    id: string;
    name: string;
    value: number | null;
    quantity: QuantityId;
    score: number;
    weight: number;
  }[];
}

/** A margin below this counts as zero: the limit is only just met, percent. */
const NO_RESERVE_PCT = 0.01;
/** A margin above this is enough; more decides nothing, percent. */
export const ENOUGH_PCT = 10;
/** Whether a fitting card is at a limit of its service. */
export const atItsLimit = ({
  verdict,
  marginPct,
}: Pick<CardMatch, 'verdict' | 'marginPct'>): boolean =>
  verdict !== 'no' && marginPct < NO_RESERVE_PCT;

/** The rule with the smallest margin in service; null if none is measured. */
export const tightestOf = ({ judged }: Pick<CardMatch, 'judged'>): string | null =>
  judged
    .flatMap(({ rule, against }) =>
      rule.strength && against ? [{ name: rule.name, spare: marginPct(against) }] : [],
    )
    .sort((a, b) => a.spare - b.spare)[0]?.name ?? null;

/** The group of a match before weighting: enough margin, some, none, or excluded. */
function tier(match: CardMatch): number {
  if (match.verdict === 'no') return 3;
  if (atItsLimit(match)) return 2;
  return match.marginPct < ENOUGH_PCT ? 1 : 0;
}

/** Share of the best value: 1 for the best of those compared, 0 for an unknown value. */
function shareOfBest(values: (number | null)[], better: 'more' | 'less'): number[] {
  const known = values.filter((v): v is number => v !== null);
  if (better === 'more') {
    const most = Math.max(...known, 0);
    return values.map((v) => (v === null ? 0 : most <= 0 ? 1 : Math.max(0, v) / most));
  }
  const least = Math.min(...known, Infinity);
  return values.map((v) => (v === null ? 0 : v <= 0 ? 1 : least / v));
}

/** The tie-breaker: time to service at equal cost per year, cost at equal time. */
const tieBreak: Record<Intent, (match: CardMatch) => number> = {
  lasting: (match) => match.serviceMin ?? Infinity,
  stopgap: (match) => match.totalCost ?? Infinity,
};
const apart = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/**
 * Ranks matches: those that do not fit last, then by margin, then by the weighted criteria of the intent. A condition
 * counts through its cost and time. Ties keep the card order.
 */
export function rank(matches: CardMatch[], intent: Intent, own?: Weights): Scored[] {
  const weights = weightsOf(intent, own);
  const columns = criteria.map((c) => {
    const values = matches.map(c.of);
    return { c, values, scores: shareOfBest(values, c.better) };
  });
  const scored = matches.map((match, i): Scored => {
    const parts = columns.map(({ c, values, scores }) => ({
      id: c.id,
      name: c.name,
      value: values[i] ?? null,
      quantity: c.quantity,
      score: scores[i] ?? 0,
      weight: weights[c.id] ?? 0,
    }));
    return { match, parts, score: parts.reduce((sum, p) => sum + p.score * p.weight, 0) };
  });
  return scored.sort(
    (p, q) =>
      tier(p.match) - tier(q.match) ||
      q.score - p.score ||
      apart(tieBreak[intent](p.match), tieBreak[intent](q.match)),
  );
}

const money = (x: number) => q(Math.abs(x), 'money');
/** Smaller differences of cost count as equal. */
const SAME_MONEY = 0.5;

/** The cost difference between `first` and `second`, as the end of a sentence. */
function costPart(first: CardMatch, second: CardMatch): Message {
  const [own, theirs] = [first.totalCost, second.totalCost];
  if (own === null || theirs === null || Math.abs(own - theirs) < SAME_MONEY) return m('');
  return m('; it costs {by} {more, select, yes {more} other {less}}', {
    by: money(own - theirs),
    more: own > theirs ? 'yes' : 'no',
  });
}

/** Why `first` is ranked before `second`, in figures, as one phrase about the first; null without a second. */
export function whyFirst(
  first: Scored,
  second: Scored | undefined,
  intent: Intent,
): Message | null {
  if (!second) return null;
  const { code } = second.match.card;
  if (second.match.verdict === 'no') return m('{code} does not fit', { code });
  if (tier(first.match) < tier(second.match))
    return m(
      '{code} {limit, select, yes {stands at its limit} other {has {spare} to spare}}{by, select, none {} other {: {by}}}',
      {
        code,
        by: tightestOf(second.match)?.toLowerCase() ?? 'none',
        limit: atItsLimit(second.match) ? 'yes' : 'no',
        spare: q(second.match.marginPct, 'percent'),
      },
    );
  const cost = costPart(first.match, second.match);
  const [own, theirs] = [first.match, second.match];
  if (intent === 'stopgap' && own.serviceMin !== null && theirs.serviceMin !== null)
    return m('it is back in {own}, {code} in {theirs}{cost}', {
      own: minutes(own.serviceMin),
      code,
      theirs: minutes(theirs.serviceMin),
      cost,
    });
  return m(
    '{same, select, yes {it lasts {own} here, and so does {code}} other {it lasts {own} here, {code} {theirs}}}{cost}',
    {
      same: own.lifeDays === theirs.lifeDays ? 'yes' : 'no',
      own: minutes(own.lifeDays * DAY_MIN),
      theirs: minutes(theirs.lifeDays * DAY_MIN),
      code,
      cost,
    },
  );
}
