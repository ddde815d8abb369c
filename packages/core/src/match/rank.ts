import type { Intent } from '../materials/words';
import { m, minutes, q, type Message } from '../message/message';
import type { QuantityId } from '../units/quantities';
import type { CardMatch } from './match';

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

/** What the order of systems is made of: all of it visible, none of it hidden. */
export const criteria: Criterion[] = [
  {
    id: 'margin',
    name: 'Tightest margin',
    quantity: 'percent',
    better: 'more',
    weight: { lasting: 0.3, stopgap: 0.15 },
    of: (m) => m.marginPct,
  },
  {
    id: 'life',
    name: 'Expected life',
    quantity: 'time',
    better: 'more',
    weight: { lasting: 0.35, stopgap: 0.1 },
    of: (m) => m.lifeDays * DAY_MIN,
  },
  {
    id: 'ready',
    name: 'Time to service',
    quantity: 'time',
    better: 'less',
    weight: { lasting: 0.1, stopgap: 0.4 },
    of: (m) => m.readyMin,
  },
  {
    id: 'material',
    name: 'Material',
    quantity: 'money',
    better: 'less',
    weight: { lasting: 0.1, stopgap: 0.1 },
    of: (m) => m.materialCost,
  },
  {
    id: 'downtime',
    name: 'Downtime',
    quantity: 'money',
    better: 'less',
    weight: { lasting: 0.15, stopgap: 0.25 },
    of: (m) => m.downtimeCost,
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

const ORDER = { fits: 0, if: 1, no: 2 };

/** Less reserve than this is none: a limit is met, and not more, percent. */
const NO_RESERVE_PCT = 0.01;
/** Whether a card that fits stands at a limit of its service. */
export const atItsLimit = ({
  verdict,
  marginPct,
}: Pick<CardMatch, 'verdict' | 'marginPct'>): boolean =>
  verdict !== 'no' && marginPct < NO_RESERVE_PCT;

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

/** Orders matches: verdict first, then those with some reserve, then the weighted criteria of the intent. Ties keep the card order. */
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
      ORDER[p.match.verdict] - ORDER[q.match.verdict] ||
      Number(atItsLimit(p.match)) - Number(atItsLimit(q.match)) ||
      q.score - p.score,
  );
}

const money = (x: number) => q(Math.abs(x), 'money');
/** Less than this apart two sums of money are the same. */
const SAME_MONEY = 0.5;

/** Material and downtime of a card together; null where one is not known. */
const costOf = ({ materialCost, downtimeCost }: CardMatch): number | null =>
  materialCost === null || downtimeCost === null ? null : materialCost + downtimeCost;

/** What `first` costs more or less than `second`, as the end of a sentence. */
function costPart(first: CardMatch, second: CardMatch): Message {
  const [own, theirs] = [costOf(first), costOf(second)];
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
  const { verdict } = second.match;
  if (first.match.verdict !== verdict)
    return m('{code} {verdict, select, if {only fits with a condition} other {does not fit}}', {
      code,
      verdict,
    });
  if (atItsLimit(second.match) && !atItsLimit(first.match))
    return m('{code} stands at its limit', { code });
  const cost = costPart(first.match, second.match);
  const [own, theirs] = [first.match, second.match];
  if (intent === 'stopgap' && own.readyMin !== null && theirs.readyMin !== null)
    return m('it is back in {own}, {code} in {theirs}{cost}', {
      own: minutes(own.readyMin),
      code,
      theirs: minutes(theirs.readyMin),
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
