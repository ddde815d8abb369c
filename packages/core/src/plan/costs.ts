import { z } from 'zod';
import { fig, line } from '../calc/calc';
import { figureOf, type Figure } from './figure';
import type { Step } from './step';
import type { Supply } from './supplies';
import type { Timeline } from './timeline';
import { crewOf, type WorkUp } from './workUp';

/** The next best card for the same job, as the costs set it beside this one. */
export const NextOption = z.strictObject({
  code: z.string(),
  name: z.string(),
  total: z.number(),
  readyMin: z.number(),
  lifeDays: z.number(),
});
export type NextOption = z.infer<typeof NextOption>;

/** The next option’s figures, to be set beside this one’s. Money in the site’s currency. */
export function nextFigures(
  next: (NextOption & { material: number; downtime: number }) | null,
  unit: string,
): Figure[] {
  if (!next) return [];
  const source = `card ${next.code}`;
  return [
    figureOf('next.total', `${next.code}, material and downtime`, next.total, 'money', [
      line('€m', 'material', 'cheapest packs', next.material, unit, source),
      line(
        '€d',
        'downtime',
        `${fig(next.readyMin)}/60 at the asset’s rate`,
        next.downtime,
        unit,
        'asset',
      ),
      line('€', 'in all', '€m + €d', next.total, unit),
    ]),
    figureOf('next.ready', `${next.code}, back in service in`, next.readyMin, 'time', [
      line(
        't',
        'ready',
        'prep, build, cure and accept, as for this one',
        next.readyMin,
        'min',
        source,
      ),
    ]),
    figureOf('next.life', `${next.code}, expected life`, next.lifeDays * 1440, 'time', [
      line('L', 'expected life', 'as on the card', next.lifeDays, 'd', source),
      line('t', 'the same', 'L·1440', next.lifeDays * 1440, 'min'),
    ]),
  ];
}

/** Hours of people: every step by its minutes and people, mixing and placing by the crew; waits are nobody’s. */
function personMinutes(work: WorkUp, steps: readonly Step[], times: Timeline): number {
  const { batch, coats, card } = work;
  const byHand = steps
    .filter((s) => s.station === 'prep' || s.station === 'accept' || s.id === 'lay-out')
    .reduce((sum, s) => sum + s.minutes * s.people, 0);
  const building = batch.ok
    ? batch.batches * coats * (card.mix.mixMinutes + batch.minutesToPlace)
    : times.buildMin;
  return byHand + building * crewOf(work);
}

/** What the job costs: material, people, the stop; and what doing nothing would. Money in the site’s currency. */
export function costFigures(
  work: WorkUp,
  steps: readonly Step[],
  supplies: readonly Supply[],
  times: Timeline,
): Figure[] {
  const { site, survey } = work;
  const unit = site.currency;
  const material = supplies.reduce((sum, s) => sum + (s.price ?? 0), 0);
  const hours = personMinutes(work, steps, times) / 60;
  const labour = hours * site.labourPerHour;
  const downtime = (times.readyMin / 60) * survey.asset.costPerHour;
  const total = material + labour + downtime;
  const materials = supplies
    .filter((s) => s.price !== null)
    .map((s) =>
      line(
        '',
        s.name,
        s.picks.map((p) => `${p.count} × ${p.label}`).join(', '),
        s.price ?? 0,
        unit,
        s.code ?? '',
      ),
    );
  const down = line(
    '€d',
    'downtime',
    `${fig(times.readyMin)}/60·${fig(survey.asset.costPerHour)} an hour`,
    downtime,
    unit,
    'asset',
  );
  const work$ = [
    line(
      'h',
      'hours of people',
      'steps by minutes and people, batches by the crew',
      hours,
      'h',
      'method',
    ),
    line('€l', 'labour', `h·${fig(site.labourPerHour)} an hour`, labour, unit, site.name),
  ];
  return [
    figureOf('cost.material', 'Material in all', material, 'money', [
      ...materials,
      line('€m', 'material', 'sum', material, unit),
    ]),
    figureOf('cost.labour', 'Labour', labour, 'money', work$),
    figureOf(
      'cost.total',
      'The job',
      total,
      'money',
      [
        line('€m', 'material', 'sum of the packs', material, unit),
        ...work$,
        down,
        line('€', 'the job', '€m + €l + €d', total, unit),
      ],
      ['window.downMin'],
    ),
    ...nothing(work),
  ];
}

/** Doing nothing: when a damage that grows stops the plant by itself, and what that stop costs. */
function nothing({ survey, site }: WorkUp): Figure[] {
  const { grows, nowMm, mmPerWeek, stopsAtMm, stopMin } = survey.past;
  if (
    grows !== 'yes' ||
    nowMm === null ||
    mmPerWeek === null ||
    stopsAtMm === null ||
    stopMin === null
  )
    return [];
  const weeks = Math.max(0, (stopsAtMm - nowMm) / mmPerWeek);
  const cost = (stopMin / 60) * survey.asset.costPerHour;
  const paths = ['past.nowMm', 'past.mmPerWeek', 'past.stopsAtMm', 'past.stopMin'];
  const grown = line(
    'tw',
    'until it stops by itself',
    `(${fig(stopsAtMm)} − ${fig(nowMm)})/${fig(mmPerWeek)}`,
    weeks,
    'weeks',
    'survey',
  );
  return [
    figureOf(
      'nothing.until',
      'Left alone, it stops in',
      weeks * 7 * 1440,
      'time',
      [grown, line('t', 'the same', 'tw·7·1440', weeks * 7 * 1440, 'min')],
      paths,
    ),
    figureOf(
      'nothing.cost',
      'Such a stop costs',
      cost,
      'money',
      [
        grown,
        line(
          '€',
          'an unplanned stop',
          `${fig(stopMin)}/60·${fig(survey.asset.costPerHour)}`,
          cost,
          site.currency,
          'survey, asset',
        ),
      ],
      paths,
    ),
  ];
}
