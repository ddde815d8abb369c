import { MessageSchema, word, type Message, type Plan } from '@kelmot/core';

const isMessage = (x: unknown): x is Message =>
  typeof x === 'object' && x !== null && MessageSchema.safeParse(x).success;

const isNothing = (x: unknown): boolean =>
  x === null || x === false || x === '' || (Array.isArray(x) && x.length === 0);

/** Anything as one line, without empty parts: texts as words, numbers to six digits. */
export function inline(x: unknown): string {
  if (typeof x === 'number') return String(Number(x.toPrecision(6)));
  if (typeof x !== 'object' || x === null) return String(x);
  if (isMessage(x)) return `“${word(x)}”`;
  if (Array.isArray(x)) return `[${x.map(inline).join(', ')}]`;
  const own = Object.entries(x).filter(([, part]) => !isNothing(part));
  return `{${own.map(([key, part]) => `${key} ${inline(part)}`).join(', ')}}`;
}

/** Given from outside, or said by another line. */
const GIVEN = ['version', 'core', 'madeAt', 'survey', 'card', 'cards', 'site', 'cautions', 'gear'];

/** Everything that a plan says, one line each, to read and compare. */
export function planText(plan: Plan): string {
  const { figures, schedule, ...rest } = plan;
  const said = Object.entries(rest).flatMap(([key, part]) => {
    if (GIVEN.includes(key)) return [];
    if (!Array.isArray(part)) return [`${key}: ${inline(part)}`];
    return part.map((one) => `${key}: ${inline(one)}`);
  });
  const sums = Object.values(figures).map(({ id, value, quantity, paths, working }) => {
    const sum = working.map((l) => `${l.symbol} ${inline(l.value)} ${l.unit}`.trim()).join('; ');
    return `figure ${id} ${inline(value)} ${quantity} of ${inline(paths)}: ${sum}`;
  });
  const clock = schedule.map((s) => `${s.step}${s.batch ?? ''} ${inline(s.from)}–${inline(s.to)}`);
  const alone = [...plan.cautions.map((c) => c.id), ...plan.gear].join(', ');
  return [
    ...said,
    ...sums,
    `schedule: ${clock.join(', ')}`,
    `cautions and gear: ${alone}`,
    '',
  ].join('\n');
}
