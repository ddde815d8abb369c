import { returnToService } from '../methods/accept';
import type { SystemCard } from '../materials/card';
import { MINUTE } from '../units/clock';
import { m } from '../message/message';
import { familyOf } from '../families/registry';
import type { Survey } from '../families/registry';
import type { Family } from '../family/family';
import { warmedTo } from '../rules/ambient';
import { ventilate, withConditions } from '../methods/begin';
import { withToolsOnce } from '../methods/mix';
import { postCure } from '../methods/cure';
import { scheduleJob, type ScheduleResult } from '../schedule/scheduleJob';
import { minuteOfDay, type Zone } from '../units/zone';
import type { SiteSettings } from '../site/site';
import type { Demand } from '../survey/demand';
import { neededOn, type Round } from '../work/round';
import { schoolsOf, chosenSchools } from '../work/schools';
import type { Draft, StepDraft } from '../work/step';
import { workOf, type Work } from '../work/work';
import type { WorkContext } from '../work/context';
import { missedSteps } from './missed';
import { chooseSecond } from './seconds';

/** A job: a survey, a card and a site as rounds, steps in order, and a schedule. */
export interface Job {
  work: Work;
  family: Family;
  draft: Draft;
  steps: readonly StepDraft[];
  laid: ScheduleResult;
}

export interface JobAsk {
  survey: Survey;
  card: SystemCard;
  site: SiteSettings;
  context: WorkContext;
  demand: Demand;
  /** Held at this temperature, °C; null: as measured. */
  heldC: number | null;
  /** Number of conditions that are met by hand before cleaning. */
  terms: number;
}

/** The calculations for a survey and a card, before any step is written. */
export function workFor({ survey, card, site, context, demand, heldC, terms }: JobAsk): Work {
  const family = familyOf(survey.family);
  const schools = chosenSchools(schoolsOf(family.method.schools, card), context.schools);
  return workOf({
    survey,
    card,
    site,
    context,
    schools,
    demand,
    heldC,
    terms,
    second: (work, need) => chooseSecond(work, need),
  });
}

/** The warmest temperature that any material of the job must be held at, where the surface is colder; null if none. */
export function jobWarmC({ draft, work }: Job): number | null {
  const warm = draft.rounds.flatMap((r) => warmedTo({ card: r.card, survey: work.survey }) ?? []);
  return warm.length > 0 ? Math.max(...warm) : null;
}

const GATE_AGE = m('The gate’s reading is of now, not of hours ago.');
const BARE_AGE = m('Bare metal is covered before it turns.');

/** Adds a gate before each mix that is recent enough, and a limit on bare metal before the first coat. */
function withGates(work: Work, steps: readonly StepDraft[]): StepDraft[] {
  const { site, demand } = work;
  const gated = steps.some((s) => s.name === 'gate');
  const bare =
    steps.some((s) => s.name === 'grade') &&
    work.profileUm !== null &&
    demand.material !== 'stainless';
  let first = true;
  return steps.map((s) => {
    if (s.name !== 'mix') return s;
    const after = [
      ...(s.after ?? []),
      ...(first && bare
        ? [{ step: 'grade', most: site.bareMinutes, missed: 'prepare' as const, why: BARE_AGE }]
        : []),
      ...(gated
        ? [{ step: 'gate', most: site.gateMinutes, missed: 'gate' as const, why: GATE_AGE }]
        : []),
    ];
    first = false;
    return { ...s, after };
  });
}

/** What the return to service waits for: every round that the service loads. */
const loadedBy = (rounds: readonly Round[]) =>
  rounds.flatMap((r) =>
    r.needed === null ? [] : [{ round: r.id, at: neededOn(r.card, r.needed) }],
  );

/** The minute of the day on the site’s clock, at a minute of the stop. */
const clockOf =
  (startAt: string, zone: Zone) =>
  (at: number): number =>
    minuteOfDay(Date.parse(startAt) + at * MINUTE, zone);

/** Adds post-cure before inspection where the card asks for it: no family's method has to. */
function withPostCure(work: Work, { steps, rounds }: Draft): StepDraft[] {
  const last = rounds.filter((r) => r.card === work.card).at(-1);
  const inspected = steps.findIndex((s) => s.station === 'accept');
  const at = inspected < 0 ? steps.length : inspected;
  return last ? [...steps.slice(0, at), ...postCure(work, last), ...steps.slice(at)] : [...steps];
}

/** In a closed space, air and a gas test come right after isolation, in every family. */
function withAir({ demand }: Pick<Work, 'demand'>, steps: readonly StepDraft[]): StepDraft[] {
  if (!demand.closed) return [...steps];
  const at = steps.findIndex((s) => s.does === 'safe') + 1;
  return [...steps.slice(0, at), ventilate(), ...steps.slice(at)];
}

/** A family's draft, with the steps that every job has. */
function draftOf(work: Work, family: Family): Draft {
  const { draft, nextLookDays } = family.method;
  const own = draft(work as never);
  const steps = [
    ...withPostCure(work, own),
    ...returnToService(work, nextLookDays(work.trade)[work.survey.intent]),
  ];
  return { ...own, steps: withConditions(work, withToolsOnce(withAir(work, steps), own.rounds)) };
}

/** Writes the job of a card for a survey, or takes a written draft, and schedules it. Pure. */
export function jobFrom(work: Work, written?: Draft): Job {
  const family = familyOf(work.survey.family);
  const draft = written ?? draftOf(work, family);
  const steps = withGates(work, draft.steps);
  const { site, survey } = work;
  const laid = scheduleJob({
    rounds: draft.rounds,
    steps,
    needed: loadedBy(draft.rounds),
    missed: missedSteps(
      work,
      draft.steps.some((s) => s.name === 'wipe'),
    ),
    shift:
      site.shift === null
        ? null
        : { ...site.shift, clock: clockOf(survey.window.startAt, site.zone) },
  });
  return { work, family, draft, steps, laid };
}
