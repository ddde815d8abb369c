import { line } from '../calc/calc';
import type { Survey } from '../families/registry';
import { jobFrom, type Job } from '../job/job';
import { judge, type CardMatch } from '../match/match';
import { effortOf, jobAlone } from '../match/outcome';
import type { Card, SystemCard } from '../materials/card';
import type { Permission } from '../materials/words';
import { m, type Message } from '../message/message';
import { agreeNextLook } from '../methods/accept';
import { approval, withConditions } from '../methods/begin';
import { isMetByHand } from '../rules/rule';
import type { Schedule } from '../schedule/scheduleJob';
import type { SiteSettings } from '../site/site';
import { t } from '../text/text';
import type { WorkContext } from '../work/context';
import { figureOf } from '../work/figure';
import { neededOn, type Round } from '../work/round';
import { type StepDraft } from '../work/step';
import { suppliesOf, type Supplied } from '../work/supplies';
import { approversOf, cautionsOf, gearOf } from './cautions';
import { checkPlan } from './check';
import { costFigures } from './costs';
import { nextFigures, type Next } from './nextOption';
import { thingsOf } from './things';
import { remediesOnce, roundOf, stepOf } from './planParts';
import { figuresOf, mainRoundOf } from './figures';
import {
  heatFigures,
  heatOptions,
  raiseChance,
  readinessFigures,
  warningsOf,
  workWindows,
} from './outlook';
import { CORE_VERSION, type Plan } from './plan';

export type PlanResult = { ok: true; plan: Plan } | { ok: false; why: Message };

/** The best other card for the same job: it fits, and its total cost is lowest. */
function nextOption(match: CardMatch, survey: Survey, context: WorkContext): Next | null {
  const { site, demand } = match.work;
  const run = { demand, jobOf: jobAlone };
  const others = (context.library ?? []).filter(
    (c): c is SystemCard =>
      c.role === 'system' && c.code !== match.card.code && c.families.includes(survey.family),
  );
  const options = others.flatMap((card) => {
    const other = judge(survey, card, { site, context, run });
    const { totalCost, materialCost, downtimeCost, serviceMin, lifeDays } = other;
    if (other.verdict === 'no' || totalCost === null || serviceMin === null) return [];
    const [material, downtime] = [materialCost ?? 0, downtimeCost ?? 0];
    return [
      {
        code: card.code,
        name: card.name,
        total: totalCost,
        material,
        downtime,
        work: totalCost - material - downtime,
        readyMin: serviceMin,
        lifeDays,
      },
    ];
  });
  return options.sort((a, b) => a.total - b.total)[0] ?? null;
}

/** A seed from a tag, so that the same input gives the same plan. */
const seedFrom = (text: string): number =>
  [...text].reduce((h, c) => (Math.imul(h, 31) + c.charCodeAt(0)) >>> 0, 7);

/** Puts the verdict's conditions into the plan: by name if somebody must approve, by a tick if no step meets it. */
function meeting({ work, steps: all, draft }: Job, match: CardMatch): StepDraft[] {
  const { steps } = draft;
  const held = match.judged.filter((j) => j.verdict === 'if');
  const asked = steps.flatMap((s): Permission[] =>
    s.hold?.kind === 'approval' ? [s.hold.who] : [],
  );
  const before = steps.findIndex((s) => s.hold?.kind === 'approval');
  const who = [...new Set(held.flatMap((j) => j.who ?? []))].filter(
    (p) => !asked.includes(p) || before > steps.findIndex((s) => s.does === 'safe'),
  );
  const approvals = who.map((p) => {
    const why = held.find((j) => j.who === p);
    return approval(p, why?.because ?? m('It is not the technician’s to decide.'));
  });
  const has = new Set(all.map((s) => s.name));
  const terms = held.flatMap((j) => (isMetByHand(j, has) && j.condition ? [j.condition] : []));
  return [...approvals, ...withConditions({ ...work, terms: terms.length }, steps, terms)];
}

/** Days from return to service to the next look: fewer if the card is only fair for this damage. */
const nextLookDays = ({ judged }: CardMatch, { work, family }: Job): number =>
  Math.ceil(
    family.method.nextLookDays(work.trade)[work.survey.intent] *
      (judged.some((j) => j.early) ? work.trade.cure.earlyShare : 1),
  );

/** The job with its verdict's conditions as steps, scheduled again. */
function conditioned(match: CardMatch): Job {
  const job = match.job();
  const agreed = agreeNextLook(nextLookDays(match, job));
  const steps = meeting(job, match).map((s) => (s.name === agreed.name ? agreed : s));
  return jobFrom(job.work, { ...job.draft, steps });
}

/** The input from which the plan is made. */
interface Made {
  survey: Survey;
  card: SystemCard;
  site: SiteSettings;
  match: CardMatch;
  job: Job;
  laid: Schedule;
  main: Round;
  madeAt: string;
  context: WorkContext;
}

/** All calculated values of the plan, by id. */
function allFigures(
  { survey, card, site, job, laid, main }: Made,
  next: Next | null,
  supplied: Supplied,
) {
  const { work } = job;
  const { labourMin, heatMin } = effortOf(laid);
  const days = card.lifeDays[survey.intent];
  const expected = figureOf({
    id: 'expected',
    label: t('Expected life'),
    value: days * 1440,
    quantity: 'time',
    working: [
      line({
        symbol: 'L',
        label: t('expected life, {intent}', { intent: survey.intent }),
        expression: t('as on the card'),
        value: days,
        unit: 'd',
        source: `card ${card.code}`,
      }),
      line({
        symbol: 't',
        label: t('the same'),
        expression: 'L·1440',
        value: days * 1440,
        unit: 'min',
      }),
    ],
  });
  const extra = [
    ...heatFigures(main),
    ...nextFigures(next, site.currency),
    expected,
    ...supplied.figures,
    ...costFigures(work, {
      ...{ supplies: supplied.supplies, labourMin, heatMin },
      readyMin: laid.readyMin,
    }),
    ...readinessFigures(job, { laid, main, seed: seedFrom(survey.asset.tag) }),
  ];
  return { ...figuresOf(job, laid), ...Object.fromEntries(extra.map((f) => [f.id, f])) };
}

/** Expected life, next inspection, replacement and removal of the repair. */
function afterwards({ survey, card, match, job }: Made) {
  const { work, family } = job;
  const { intent } = survey;
  const days = card.lifeDays[intent];
  return {
    nextLookDays: nextLookDays(match, job),
    lifeDays: days,
    replaceInDays: intent === 'stopgap' ? Math.round(days) : null,
    removal: family.method.removal(work as never),
  };
}

/** Makes the plan, before it is checked. */
function assembled(made: Made): Plan {
  const { survey, card, site, match, job, laid, main, madeAt, context } = made;
  const { work, draft, family } = job;
  const rounds = draft.rounds.map((r, i) => roundOf(r, draft.rounds[i - 1], laid));
  const steps = remediesOnce(laid.steps.map(stepOf), rounds);
  const supplied = suppliesOf(work, { main: card, rounds: draft.rounds, needs: draft.needs });
  const { supplies, used } = supplied;
  const next = nextOption(match, survey, context);
  const figures = allFigures(made, next, supplied);
  const mixedMain = laid.mixedAt.get(main.id)?.last ?? 0;
  const done = { work, family, used, steps };
  return {
    version: 2,
    core: CORE_VERSION,
    madeAt,
    survey,
    card,
    cards: Object.fromEntries(
      used.filter((c: Card): c is SystemCard => c.role === 'system').map((c) => [c.code, c]),
    ),
    site,
    figures,
    conditions: match.judged.flatMap((j) =>
      j.verdict === 'if' && j.condition ? [j.condition] : [],
    ),
    schools: work.schools as Record<string, string>,
    seconds: { ...context.seconds },
    heldC: work.heldC,
    rounds,
    steps,
    links: laid.links,
    schedule: laid.slots,
    supplies,
    mainRound: main.id,
    needed: neededOn(main.card, work.demand.needed),
    readyMin: laid.readyMin,
    labourMin: effortOf(laid).labourMin,
    tightest: [],
    heat: heatOptions(main),
    windows: workWindows(job, laid, main),
    raise: raiseChance(main, mixedMain, figures.readiness?.value ?? null),
    warnings: warningsOf(job, laid, main),
    next: next && {
      code: next.code,
      name: next.name,
      total: next.total,
      readyMin: next.readyMin,
      lifeDays: next.lifeDays,
    },
    ...afterwards(made),
    cautions: cautionsOf(done),
    gear: gearOf(done),
    tools: thingsOf(steps),
    approvers: approversOf(done),
  };
}

/**
 * Makes the plan of one repair from its survey, the chosen card, the site's settings, and the known context: schools,
 * forecast, shelf, other cards. Pure: the time is passed in. Refuses with the first reason if the card does not fit, a
 * calculation has no answer, or the checker finds a broken limit.
 */
export function makePlan(
  survey: Survey,
  card: SystemCard,
  { site, madeAt, context = {} }: { site: SiteSettings; madeAt: string; context?: WorkContext },
): PlanResult {
  const match = judge(survey, card, { site, context });
  const stop = match.judged.find((j) => j.verdict === 'no');
  if (stop) return { ok: false, why: stop.because };
  const job = conditioned(match);
  const { laid } = job;
  if (!laid.ok) return { ok: false, why: laid.why };
  const plan = assembled({
    ...{ survey, card, site, match, job, laid, madeAt, context },
    main: mainRoundOf(job),
  });
  const checked = checkPlan(plan);
  const broken = checked.find((c) => !c.ok);
  if (broken)
    return { ok: false, why: m('The plan does not hold: {what}', { what: broken.about }) };
  return {
    ok: true,
    plan: {
      ...plan,
      tightest: checked
        .flatMap(({ about, slackMin }) => (slackMin === null ? [] : [{ about, slackMin }]))
        .sort((a, b) => a.slackMin - b.slackMin)
        .slice(0, TIGHTEST),
    },
  };
}

/** Number of smallest margins that are shown. */
const TIGHTEST = 3;
