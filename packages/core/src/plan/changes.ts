import { t } from '../text/text';
import type { Survey } from '../families/registry';
import { everyFieldOf } from '../form/draft';
import { fieldValue } from '../form/lines';
import { m, q, type Message } from '../message/message';
import type { Plan } from './plan';

/** What changed in a new plan: effects, and the survey changes that caused them. */
export interface PlanChanges {
  effects: Message[];
  causes: Message[];
}

/** Counted things of a plan, with their words. */
const COUNTED: [id: string, text: string][] = [
  ['batches', t('{was, plural, one {# batch} other {# batches}} became {is}')],
  ['coats', t('{was, plural, one {# coat} other {# coats}} became {is}')],
  ['layers', t('{was, plural, one {# layer} other {# layers}} became {is}')],
  ['packs', t('{was, plural, one {# pack} other {# packs}} became {is}')],
  ['ports', t('{was, plural, one {# port} other {# ports}} became {is}')],
  ['passes', t('{was, plural, one {# pass} other {# passes}} became {is}')],
  ['strips', t('{was, plural, one {# strip} other {# strips}} became {is}')],
  ['bags', t('{was, plural, one {# bag} other {# bags}} became {is}')],
];
/** Measured things, reported if they change by more than this share. */
const MEASURED = ['ready', 'life', 'total', 'cost.total'];
const MOVES = 0.03;
/** Least reported change of the chance, percentage points. */
const CHANCE_MOVES = 3;

function effectsOf(before: Plan, after: Plan): Message[] {
  const value = (plan: Plan, id: string) => plan.figures[id]?.value;
  const counted = COUNTED.flatMap(([id, text]) => {
    const [was, is] = [value(before, id), value(after, id)];
    return was === undefined || is === undefined || was === is ? [] : [m(text, { was, is })];
  });
  const measured = MEASURED.flatMap((id) => {
    const [was, is] = [before.figures[id], after.figures[id]];
    if (!was || !is || Math.abs(is.value - was.value) <= Math.abs(was.value) * MOVES) return [];
    const label = was.label.toLowerCase();
    return [
      m('{label} {was} became {is}', {
        label,
        was: q(was.value, was.quantity),
        is: q(is.value, was.quantity),
      }),
    ];
  });
  const [was, is] = [value(before, 'readiness'), value(after, 'readiness')];
  const chances =
    was !== undefined && is !== undefined && Math.abs(is - was) > CHANCE_MOVES
      ? [
          m('the chance of being ready {was} became {is}', {
            was: q(was, 'chance'),
            is: q(is, 'chance'),
          }),
        ]
      : [];
  const titles = (plan: Plan) => new Map(plan.steps.map((s) => [s.name, s.title]));
  const [old, fresh] = [titles(before), titles(after)];
  const without = (all: Map<string, Message>, others: Map<string, Message>) =>
    [...all].flatMap(([id, title]) => (others.has(id) ? [] : [title]));
  return [
    ...counted,
    ...measured,
    ...chances,
    ...without(fresh, old).map((title) => m('a new step, “{title}”', { title })),
    ...without(old, fresh).map((title) => m('no more “{title}”', { title })),
  ];
}

function causesOf(before: Survey, after: Survey): Message[] {
  const warmer = after.readings.surfaceC - before.readings.surfaceC;
  const temperature =
    warmer === 0
      ? []
      : [
          m('it is {by} {way, select, up {warmer} other {colder}}', {
            by: q(Math.abs(warmer), 'temperatureStep'),
            way: warmer > 0 ? 'up' : 'down',
          }),
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
        m('{label} is {is}, not {was}', {
          label: field.label.toLowerCase(),
          is: fieldValue(field, is),
          was: fieldValue(field, was),
        }),
      ];
    });
  const n = after.damages.length - before.damages.length;
  const counted =
    n === 0
      ? []
      : [
          m(
            '{n, plural, one {one damage} other {# damages}} {way, select, up {more} other {fewer}}',
            {
              n: Math.abs(n),
              way: n > 0 ? 'up' : 'down',
            },
          ),
        ];
  return [...temperature, ...counted, ...others];
}

/** The changes of a plan against the one before, effects first, then their causes in the survey. */
export const planChanges = (before: Plan, after: Plan): PlanChanges => ({
  effects: effectsOf(before, after),
  causes: causesOf(before.survey, after.survey),
});

/** The same in one sentence: “2 batches became 3, back in service in 9 h became 7 h: it is 6 °C warmer.” */
export const changesMessage = ({ effects, causes }: PlanChanges): Message | null =>
  effects.length === 0
    ? null
    : m('{effects}{why, select, yes {: {causes}} other {}}.', {
        effects,
        causes,
        why: causes.length > 0 ? 'yes' : 'no',
      });
