import type { Survey } from '../families/registry';
import { everyFieldOf } from '../form/draft';
import { fieldText } from '../form/lines';
import { word } from '../message/word';
import { say } from '../units/format';
import type { UnitSystem } from '../units/quantities';
import type { Plan } from './plan';

/** What a new plan has that the old one had not: what became of it, and which changes of the survey made it so. */
export interface PlanChanges {
  effects: string[];
  causes: string[];
}

const many = (n: number, one: string, more: string) => `${n} ${n === 1 ? one : more}`;

/** Counted things of a plan, each with its words. */
const COUNTED: [id: string, one: string, more: string][] = [
  ['batches', 'batch', 'batches'],
  ['coats', 'coat', 'coats'],
  ['layers', 'layer', 'layers'],
  ['packs', 'pack', 'packs'],
  ['ports', 'port', 'ports'],
  ['passes', 'pass', 'passes'],
  ['strips', 'strip', 'strips'],
  ['bags', 'bag', 'bags'],
];
/** Measured things, said when they move by more than this share. */
const MEASURED = ['ready', 'life', 'total', 'cost.total'];
const MOVES = 0.03;
/** Chance, in percent points. */
const CHANCE_MOVES = 3;

function effectsOf(before: Plan, after: Plan, units: UnitSystem): string[] {
  const value = (plan: Plan, id: string) => plan.figures[id]?.value;
  const counted = COUNTED.flatMap(([id, one, more]) => {
    const [was, is] = [value(before, id), value(after, id)];
    if (was === undefined || is === undefined || was === is) return [];
    return [`${many(was, one, more)} became ${is}`];
  });
  const measured = MEASURED.flatMap((id) => {
    const [was, is] = [before.figures[id], after.figures[id]];
    if (!was || !is || Math.abs(is.value - was.value) <= Math.abs(was.value) * MOVES) return [];
    const text = (x: number) => say(x, was.quantity, units);
    return [`${was.label.toLowerCase()} ${text(was.value)} became ${text(is.value)}`];
  });
  const [chance, now] = [value(before, 'readiness'), value(after, 'readiness')];
  const chances =
    chance !== undefined && now !== undefined && Math.abs(now - chance) > CHANCE_MOVES
      ? [
          `the chance of being ready ${say(chance, 'chance', units)} became ${say(now, 'chance', units)}`,
        ]
      : [];
  const titles = (plan: Plan) => new Map(plan.steps.map((s) => [s.name, word(s.title, units)]));
  const [old, fresh] = [titles(before), titles(after)];
  const steps = [
    ...[...fresh]
      .filter(([id]) => !old.has(id))
      .map(([, title]) => `a new step: ${title.toLowerCase()}`),
    ...[...old]
      .filter(([id]) => !fresh.has(id))
      .map(([, title]) => `no more: ${title.toLowerCase()}`),
  ];
  return [...counted, ...measured, ...chances, ...steps];
}

function causesOf(before: Survey, after: Survey, units: UnitSystem): string[] {
  const warmer = after.readings.surfaceC - before.readings.surfaceC;
  const temperature =
    warmer === 0
      ? []
      : [
          `it is ${say(Math.abs(warmer), 'temperatureStep', units)} ${warmer > 0 ? 'warmer' : 'colder'}`,
        ];
  const valueAt = (survey: Survey, path: string) =>
    path
      .split('.')
      .reduce<unknown>((o, key) => (o as Record<string, unknown> | undefined)?.[key], survey);
  const others = everyFieldOf(after)
    .filter(({ path }) => path !== 'readings.surfaceC')
    .flatMap(({ path, field }) => {
      const [was, is] = [valueAt(before, path), valueAt(after, path)];
      if (JSON.stringify(was) === JSON.stringify(is)) return [];
      return [
        `${field.label.toLowerCase()} is ${fieldText(field, is, units).toLowerCase()}, not ${fieldText(field, was, units).toLowerCase()}`,
      ];
    });
  const damages = after.damages.length - before.damages.length;
  const counted =
    damages === 0 ? [] : [`${Math.abs(damages)} ${damages > 0 ? 'more' : 'fewer'} damages`];
  return [...temperature, ...counted, ...others];
}

/** What is new in a plan against the one before it, effects first, and what in the survey made it so. */
export const planChanges = (before: Plan, after: Plan, units: UnitSystem): PlanChanges => ({
  effects: effectsOf(before, after, units),
  causes: causesOf(before.survey, after.survey, units),
});

/** The same in one line: “2 batches became 3, back in service in 9 h became 7 h: it is 6 °C warmer.” */
export function changesText({ effects, causes }: PlanChanges): string | null {
  if (effects.length === 0) return null;
  const what = effects.join(', ');
  return `${what[0]?.toUpperCase() ?? ''}${what.slice(1)}${causes.length > 0 ? `: ${causes.join(', ')}` : ''}.`;
}
