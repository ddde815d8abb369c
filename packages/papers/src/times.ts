import { MILESTONE_NAMES, stepTime, STATION_NAMES, type Plan } from '@kelmot/core';

const MINUTE = 60_000;
const DAY = 1440 * MINUTE;

/** A stretch or a moment of the job, epoch ms. */
export interface Moment {
  id: string;
  title: string;
  note: string;
  from: number;
  to: number;
}

/**
 * The job on a calendar, as it would run if it began when the stop begins: prep, mixing and building, every milestone of
 * the cure from the last mix, inspection, back in service, and the next looks.
 */
export function momentsOf(plan: Plan): Moment[] {
  const { survey, prepMin, buildMin, acceptMin, readyMin } = plan;
  const start = Date.parse(survey.window.startAt);
  const at = (minutes: number) => start + minutes * MINUTE;
  const mixed = prepMin + buildMin;
  const spent = (station: 'prep' | 'accept') =>
    plan.steps
      .filter((s) => s.station === station)
      .map((s) => `${s.title} (${Math.round(stepTime(s))} min)`)
      .join(', ');
  const stretch = (id: string, title: string, note: string, from: number, to: number): Moment => ({
    id,
    title,
    note,
    from: at(from),
    to: at(to),
  });
  const back = Date.parse(survey.window.startAt) + survey.window.downMin * MINUTE;
  return [
    stretch('prep', STATION_NAMES.prep, spent('prep'), 0, prepMin),
    stretch(
      'build',
      `${STATION_NAMES.mix} and ${STATION_NAMES.build.toLowerCase()}`,
      `${plan.batches.length} batches of ${plan.card.code} ${plan.card.name}`,
      prepMin,
      mixed,
    ),
    ...plan.milestones
      .filter((m) => m.id !== 'life')
      .map((m) =>
        stretch(
          `cure-${m.id}`,
          `${plan.card.code}: ${MILESTONE_NAMES[m.id]}`,
          m.id === plan.needed ? 'The one that this service needs.' : '',
          mixed + m.minutes,
          mixed + m.minutes,
        ),
      ),
    stretch('accept', STATION_NAMES.accept, spent('accept'), readyMin - acceptMin, readyMin),
    { id: 'back', title: 'Must be back in service', note: 'By the survey.', from: back, to: back },
    {
      id: 'look',
      title: 'Look at it again',
      note: `${plan.nextLookDays} days after its return.`,
      from: at(readyMin) + plan.nextLookDays * DAY,
      to: at(readyMin) + plan.nextLookDays * DAY,
    },
    ...(plan.replaceInDays === null
      ? []
      : [
          {
            id: 'replace',
            title: 'Stop-gap: replace it',
            note: `It was made to last ${plan.replaceInDays} days.`,
            from: at(readyMin) + plan.replaceInDays * DAY,
            to: at(readyMin) + plan.replaceInDays * DAY,
          },
        ]),
  ];
}
