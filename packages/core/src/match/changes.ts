import { familyOf, type Survey } from '../families/registry';
import { readField } from '../form/draft';
import type { Relax, Verdict } from '../rules/rule';
import type { SiteSettings } from '../site/site';
import type { Field } from '../survey/fields';
import type { WorkContext } from '../work/context';
import { judge, type CardMatch } from './match';
import { rank, type Scored, type Weights } from './rank';

/** A set of survey changes that would allow a system, or allow it without conditions. */
export interface WhatIf {
  code: string;
  name: string;
  changes: Relax[];
  verdict: Verdict;
}

/** More changes at once are another job, not a small change. */
const MOST_CHANGES = 3;
const SHOWN = 4;

function fieldAt(survey: Survey, path: string): Field | undefined {
  const family = familyOf(survey.family);
  const [group = '', ...rest] = path.split('.');
  const key = rest[rest.length - 1] ?? '';
  if (group !== 'damages') return family.groups.find((g) => g.id === group)?.fields[key];
  const shape = survey.damages[Number(rest[0])]?.shape;
  return family.shapes.find((s) => s.shape === shape)?.fields[key];
}

function put(value: unknown, [head, ...rest]: string[], leaf: unknown): unknown {
  if (head === undefined) return leaf;
  if (Array.isArray(value))
    return value.map((v, i) => (i === Number(head) ? put(v, rest, leaf) : (v as unknown)));
  const group = value as Record<string, unknown>;
  return { ...group, [head]: put(group[head], rest, leaf) };
}

/** A survey with changes applied; null if one is not a field of this survey, or out of its range. */
export function withChanges(survey: Survey, changes: readonly Relax[]): Survey | null {
  let next: unknown = survey;
  for (const { path, text } of changes) {
    const field = fieldAt(survey, path);
    const read = field ? readField(field, text, 'metric') : null;
    if (!read || !('value' in read)) return null;
    next = put(next, path.split('.'), read.value);
  }
  const parsed = familyOf(survey.family).schema.safeParse(next);
  return parsed.success ? (parsed.data as Survey) : null;
}

/** The smallest changes that turn every verdict of one kind on a card: one for each field. */
function changesFor(match: CardMatch): Relax[] | null {
  const blocking = match.judged.filter((j) => j.verdict === match.verdict);
  const relaxes = blocking.map((j) => j.relax);
  if (relaxes.some((r) => r === undefined)) return null;
  const byPath = new Map((relaxes as Relax[]).map((r) => [r.path, r]));
  return byPath.size <= MOST_CHANGES ? [...byPath.values()] : null;
}

/**
 * The smallest sets of survey changes that would allow a better system, fewest changes first, then by rank of those
 * systems. Each is tried on the whole survey before it is offered, because a change may break another rule.
 */
export function whatWouldChange(
  survey: Survey,
  ranked: readonly Scored[],
  { site, context = {}, weights }: { site: SiteSettings; context?: WorkContext; weights?: Weights },
): WhatIf[] {
  const best = ranked[0];
  const found = ranked.flatMap(({ match }): (WhatIf & { after: CardMatch })[] => {
    if (match.verdict === 'fits') return [];
    const changes = changesFor(match);
    const changed = changes && withChanges(survey, changes);
    if (!changes || !changed) return [];
    const after = judge(changed, match.card, { site, context });
    if (ORDER[after.verdict] >= ORDER[match.verdict]) return [];
    // Better: ranked before the present first, with everything else unchanged.
    const cards = [
      after,
      ...(best && best.match.card.code !== match.card.code
        ? [judge(changed, best.match.card, { site, context })]
        : []),
    ];
    const order = rank(cards, survey.intent, weights);
    if (order[0]?.match.card.code !== match.card.code) return [];
    const { code, name } = match.card;
    return [{ code, name, changes, verdict: after.verdict, after }];
  });
  // Each with its own changes applied, in their ranking.
  const order = rank(
    found.map((f) => f.after),
    survey.intent,
    weights,
  ).map((r) => r.match.card.code);
  return found
    .sort(
      (p, q) =>
        p.changes.length - q.changes.length || order.indexOf(p.code) - order.indexOf(q.code),
    )
    .slice(0, SHOWN)
    .map(({ after: _after, ...rest }) => rest);
}

const ORDER: Record<Verdict, number> = { fits: 0, if: 1, no: 2 };
