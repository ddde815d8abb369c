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
  /** Weight of the criterion in each of the two orders; each column adds up to 1. */
  weight: Record<Intent, number>;
  of: (match: CardMatch) => number | null;
}

/** Days of a year, for what a repair costs in one. */
export const YEAR_DAYS = 365;

/** What a repair costs for each year that it is expected to last; null where one of the two is not known. */
export const costAYear = ({ totalCost, lifeDays }: CardMatch): number | null =>
  totalCost === null ? null : (totalCost / lifeDays) * YEAR_DAYS;

/**
 * What the order of systems is made of: all of it visible, none of it hidden. Among those with enough reserve one
 * decides by itself: what a year costs where it must last, how soon it runs where it is a stop-gap. The others count
 * for whoever gives them weight.
 */
export const criteria: Criterion[] = [
  {
    id: 'year',
    name: 'Cost a year of its life',
    quantity: 'money',
    better: 'less',
    weight: { lasting: 1, stopgap: 0 },
    of: costAYear,
  },
  {
    id: 'ready',
    name: 'Time to service',
    quantity: 'time',
    better: 'less',
    weight: { lasting: 0, stopgap: 1 },
    of: (m) => m.serviceMin,
  },
  {
    id: 'life',
    name: 'Expected life',
    quantity: 'time',
    better: 'more',
    weight: { lasting: 0, stopgap: 0 },
    of: (m) => m.lifeDays * DAY_MIN,
  },
  {
    id: 'cost',
    name: 'Cost in all',
    quantity: 'money',
    better: 'less',
    weight: { lasting: 0, stopgap: 0 },
    of: (m) => m.totalCost,
  },
  {
    id: 'margin',
    name: 'Tightest margin',
    quantity: 'percent',
    better: 'more',
    weight: { lasting: 0, stopgap: 0 },
    of: (m) => m.marginPct,
  },
];

/** Weights of the criteria by id, moved by a person; they are brought to a sum of 1. */
export type Weights = Readonly<Record<string, number>>;

/** The weights of an intent as they stand, a person’s own or the usual ones, adding up to 1. */
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

/** Less reserve than this is none: a limit is met, and not more, percent. */
const NO_RESERVE_PCT = 0.01;
/** From this on there is reserve enough, and more of it decides nothing, percent. */
export const ENOUGH_PCT = 10;
/** Whether a card that fits stands at a limit of its service. */
export const atItsLimit = ({
  verdict,
  marginPct,
}: Pick<CardMatch, 'verdict' | 'marginPct'>): boolean =>
  verdict !== 'no' && marginPct < NO_RESERVE_PCT;

/** The name of the rule whose limit of service is the nearest; null where none is measured. */
export const tightestOf = ({ judged }: Pick<CardMatch, 'judged'>): string | null =>
  judged
    .flatMap(({ rule, against }) =>
      rule.strength && against ? [{ name: rule.name, spare: marginPct(against) }] : [],
    )
    .sort((a, b) => a.spare - b.spare)[0]?.name ?? null;

/** Where a match stands before anything is weighed: with reserve enough, with some, with none, or out. */
function tier(match: CardMatch): number {
  if (match.verdict === 'no') return 3;
  if (atItsLimit(match)) return 2;
  return match.marginPct < ENOUGH_PCT ? 1 : 0;
}

/** Share of the best: 1 for the best value among those compared, 0 for what is not known. */
function shareOfBest(values: (number | null)[], better: 'more' | 'less'): number[] {
  const known = values.filter((v): v is number => v !== null);
  if (better === 'more') {
    const most = Math.max(...known, 0);
    return values.map((v) => (v === null ? 0 : most <= 0 ? 1 : Math.max(0, v) / most));
  }
  const least = Math.min(...known, Infinity);
  return values.map((v) => (v === null ? 0 : v <= 0 ? 1 : least / v));
}

/** What settles a tie: time to service among what costs the same a year, money among what is as quick. */
const tieBreak: Record<Intent, (match: CardMatch) => number> = {
  lasting: (match) => match.serviceMin ?? Infinity,
  stopgap: (match) => match.totalCost ?? Infinity,
};
const apart = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/**
 * Orders matches: what does not fit last, then by reserve, then by the weighted criteria of the intent. A condition is
 * in the money and the minutes that it takes to meet it, so it needs no place of its own. Ties keep the card order.
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
/** Less than this apart two sums of money are the same. */
const SAME_MONEY = 0.5;

/** What `first` costs more or less than `second`, as the end of a sentence. */
function costPart(first: CardMatch, second: CardMatch): Message {
  const [own, theirs] = [first.totalCost, second.totalCost];
  if (own === null || theirs === null || Math.abs(own - theirs) < SAME_MONEY) return m('');
  return m('; it costs {by} {more, select, yes {more} other {less}}', {
    by: money(own - theirs),
    more: own > theirs ? 'yes' : 'no',
  });
}

/** Why `first` stands before `second`, in numbers, as one phrase about the first; null when there is no second. */
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
