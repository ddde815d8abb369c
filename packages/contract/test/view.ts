import { m, makePlan, word, type Hold, type Plan, type SurveyOf } from '@kelmot/core';
import type { Me, OnDevice, RepairView } from '../src/index';
import { card, site, survey } from '../../core/test/fixtures';

export const ID = '01936f00-0000-7000-8000-000000000001';
export const AT = '2026-11-24T09:00:00Z';

/** The plan of the fixtures' survey, or of one that differs from it. */
export function planOf(changes: Partial<SurveyOf<'F2'>> = {}): Plan {
  const made = makePlan({ ...survey, ...changes }, card, { site, madeAt: '2026-11-24T08:05:00Z' });
  if (!made.ok) throw new Error(word(made.why));
  return made.plan;
}

/** A repair with a plan and no records yet. */
export function viewOf(plan: Plan): RepairView {
  return {
    id: ID,
    assetId: null,
    tag: 'P-1',
    assetName: 'Test pump',
    position: '',
    title: 'worn wall',
    family: 'F2',
    intent: 'lasting',
    station: 'prep',
    status: 'open',
    version: 2,
    backBy: AT,
    createdAt: AT,
    updatedAt: AT,
    survey: plan.survey,
    plan: { id: ID, number: 1, body: plan },
    readings: [],
    mixes: [],
    checks: [],
    earlier: [],
    last: null,
    signoffs: [],
    reviews: [],
  };
}

export function holdOf(plan: Plan, id: string): Hold {
  const found = plan.steps.find((s) => s.id === id)?.hold;
  if (!found) throw new Error(`no hold ${id}`);
  return found;
}

/** A record of Ida's that reached the server at once. */
export const ida = { by: 'Ida', byId: 'ida', receivedAt: AT };
/** A person who may write and cannot approve. */
export const IDA: Me = {
  id: 'ida',
  name: 'Ida',
  username: 'ida',
  role: 'technician',
  siteId: ID,
  approves: [],
};

/** Her device, which can plan with the one card of the fixtures. */
export const HERS: OnDevice = {
  who: IDA,
  plan: (of, { cardCode, at, ...choice }) => {
    const made =
      cardCode === card.code ? makePlan(of, card, { site, madeAt: at, context: choice }) : null;
    return made?.ok ? made.plan : null;
  },
  zone: site.zone,
};

/** The view with every hold of the named stations met, at a moment. */
export function met(view: RepairView, stations: string[], at = AT): RepairView {
  const steps = (view.plan?.body.steps ?? []).filter((s) => stations.includes(s.station) && s.hold);
  return {
    ...view,
    checks: steps
      .filter((s) => s.hold?.kind === 'check')
      .map((s) => ({ id: s.id, stepId: s.id, batchNo: null, done: true, note: '', at, ...ida })),
    readings: steps
      .filter((s) => s.hold?.kind !== 'check')
      .map((s) => ({
        id: s.id,
        stepId: s.id,
        values:
          s.hold?.kind === 'countdown' ? { kind: 'countdown' } : { kind: 'reading', value: 1 },
        passed: true,
        say: m('ok'),
        takenAt: at,
        ...ida,
      })),
  };
}
