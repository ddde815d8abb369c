import { REVIEW_NAMES } from '@kelmot/contract';
import {
  MILESTONE_NAMES,
  MINUTE,
  STATION_NAMES,
  word,
  type Plan,
  type PlanRound,
  type Slot,
  type Step,
  t,
} from '@kelmot/core';

const DAY = 1440 * MINUTE;

/** A stretch or a moment of the job, epoch ms. */
export interface Moment {
  id: string;
  title: string;
  note: string;
  from: number;
  to: number;
}

type Planned = Slot & { planned: Step };

/** Work in its order, split where the station or the round changes or where a wait begins. */
function stretches(plan: Plan): Planned[][] {
  const slots = plan.schedule
    .flatMap((slot): Planned[] => {
      const planned = plan.steps.find((s) => s.id === slot.step);
      return planned ? [{ ...slot, planned }] : [];
    })
    .sort((a, b) => a.from - b.from);
  const runs: Planned[][] = [];
  for (const slot of slots) {
    const run = runs.at(-1);
    const before = run?.at(-1);
    const follows =
      before !== undefined &&
      before.planned.hold?.kind !== 'countdown' &&
      slot.planned.hold?.kind !== 'countdown' &&
      before.planned.round === slot.planned.round &&
      (before.planned.round !== null || before.planned.station === slot.planned.station);
    if (run && follows) run.push(slot);
    else runs.push([slot]);
  }
  return runs;
}

function stretchTitle(run: Planned[], plan: Plan): string {
  const [{ planned }] = run as [Planned];
  if (planned.hold?.kind === 'countdown') return word(planned.title);
  const round = plan.rounds.find((r) => r.id === planned.round);
  return round
    ? `${word(round.name)}, ${round.card.code} ${round.card.name}`
    : STATION_NAMES[planned.station];
}

function stretchNote(run: Planned[], round: PlanRound | undefined): string {
  const titles = [...new Set(run.map((s) => word(s.planned.title)))].join(', ');
  const batches = round?.batches.length ?? 0;
  return batches > 0 ? `${titles}. ${batches} ${batches === 1 ? 'batch' : 'batches'}.` : titles;
}

/** Each moment of the cure of a round, from its last mix. */
function curing(round: PlanRound, at: (minutes: number) => number): Moment[] {
  const mixed = Math.max(...round.batches.map((b) => b.mixedAtMin));
  if (!Number.isFinite(mixed)) return [];
  return round.milestones
    .filter((c) => c.id !== 'life')
    .map((c) => ({
      id: `cure-${round.id}-${c.id}`,
      title: `${word(round.name)}, ${round.card.code}: ${MILESTONE_NAMES[c.id]}`,
      note: c.id === round.needed ? t('Needed for this service.') : '',
      from: at(mixed + c.minutes),
      to: at(mixed + c.minutes),
    }));
}

/**
 * The job on a calendar, as it would run if it began when the stop begins: every stretch of work and every wait of its
 * schedule, every moment of every cure, back in service, and the next looks.
 */
export function momentsOf(plan: Plan): Moment[] {
  const start = Date.parse(plan.survey.window.startAt);
  const at = (minutes: number) => start + minutes * MINUTE;
  const one = ({
    id,
    title,
    note,
    when,
  }: {
    id: string;
    title: string;
    note: string;
    when: number;
  }): Moment => ({
    id,
    title,
    note,
    from: when,
    to: when,
  });
  const work = stretches(plan).map((run, i, all): Moment => {
    const [first] = run as [Planned];
    const again = all.slice(0, i).filter(([other]) => other?.step === first.step).length;
    const round = plan.rounds.find((r) => r.id === first.planned.round);
    return {
      id: `work-${first.step}${again > 0 ? `-${again + 1}` : ''}`,
      title: stretchTitle(run, plan),
      note: stretchNote(run, round),
      from: at(first.from),
      to: at(Math.max(...run.map((s) => s.to))),
    };
  });
  const ready = at(plan.readyMin);
  return [
    ...work,
    ...plan.rounds.flatMap((round) => curing(round, at)),
    one({
      id: 'back',
      title: t('Must be back in service'),
      note: t('By the survey.'),
      when: at(plan.survey.window.downMin),
    }),
    one({
      id: 'look',
      title: REVIEW_NAMES.look,
      note: t('{nextLookDays} days after its return.', { nextLookDays: plan.nextLookDays }),
      when: ready + plan.nextLookDays * DAY,
    }),
    ...(plan.replaceInDays === null
      ? []
      : [
          one({
            id: 'replace',
            title: REVIEW_NAMES.replace,
            note: t('It was made to last {replaceInDays} days.', {
              replaceInDays: plan.replaceInDays,
            }),
            when: ready + plan.replaceInDays * DAY,
          }),
        ]),
  ];
}
