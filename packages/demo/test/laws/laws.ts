import {
  checkPlan,
  tasksOf,
  MINUTE,
  paceOf,
  parseQuantity,
  planBatches,
  planRound,
  formatQuantity,
  unknownIds,
  weighing,
  word,
  type Plan,
  falseSentences,
  longSentences,
  sentencesOf,
  stepWords,
  warningsOf,
} from '@kelmot/core';
import { mixStages } from '@kelmot/core/materials/stages';

/** A law checks one plan and returns each breach in words, with the figures; empty if the plan keeps it. */
export type Law = (plan: Plan) => string[];

/** Rounding error of sums of minutes, min. */
const ROUNDING_MIN = 1e-6;
/** A job done exactly by plan may be behind by this, min: moments are whole milliseconds. */
const ON_TIME_MIN = 1e-3;

/** One breach if a condition is false. */
const unless = (holds: boolean, breach: () => string): string[] => (holds ? [] : [breach()]);

/** All sentences of a plan, as text. */
function sentences(plan: Plan): string[] {
  const steps = plan.steps.flatMap((s) => [
    s.title,
    ...warningsOf(s),
    ...sentencesOf(s),
    ...s.wrong.flatMap((w) => [w.sign, w.remedy]),
  ]);
  const rest = [...plan.removal, ...plan.warnings, ...plan.raise, ...plan.conditions];
  return [
    ...steps,
    ...rest,
    ...plan.links.map((l) => l.why),
    ...plan.supplies.map((s) => s.for),
  ].flatMap((x) => [word(x), word(x, 'us')]);
}

/** A figure with a unit in the text: a reader of US units would see metric. */
const WRITTEN_OUT = /\d\s?(mm|cm|µm|ml|l|L|g|kg|°C|bar|kPa|MPa|m²|litres?|metres?)\b/;

/** The texts of every message in an object, without values. */
function texts(of: unknown): string[] {
  if (typeof of !== 'object' || of === null) return [];
  const own = 'text' in of && 'values' in of && typeof of.text === 'string' ? [of.text] : [];
  return [...own, ...Object.values(of).flatMap(texts)];
}

/** Keys that may be blank: symbol, unit and source of a working line, optional texts. */
const MAY_BE_BLANK =
  /\.working\.\d+\.(symbol|unit|source)$|^survey\.|^supplies\.\d+\.keep$|\.text\.values\.end\.text$/;

/** Paths of blank texts. */
function blanks(of: unknown, at: string[] = []): string[] {
  if (typeof of === 'string')
    return of.trim() === '' && !MAY_BE_BLANK.test(at.join('.')) ? [at.join('.')] : [];
  if (typeof of !== 'object' || of === null) return [];
  return Object.entries(of).flatMap(([key, part]) => blanks(part, [...at, key]));
}

/** The plan without its cards, whose texts are their makers'. */
const withoutCards = (plan: Plan) => ({ ...plan, card: null, cards: null });

/** The mix of a round's card. */
const mixOf = (plan: Plan, code: string | undefined) => (plan.cards[code ?? ''] ?? plan.card).mix;

/** All tasks one at a time: none missing, none twice, in order of time. */
const oneByOne: Law = (plan) => {
  const tasks = tasksOf(plan);
  const batches = planBatches(plan);
  const due = plan.steps.flatMap((s) => {
    const own = batches.filter((b) => s.eachBatch && b.round === s.round);
    return own.length > 0 ? own.map((b) => `${s.id}/${b.no}`) : [s.id];
  });
  const told = tasks.map((d) => d.id).sort();
  const emptied = tasks.filter((d) => d.empties).map((d) => d.batch?.no);
  const order = tasks.flatMap((task, i) => {
    const before = tasks[i - 1];
    if (!before) return [];
    return [
      ...unless(
        task.fromMin >= before.fromMin - ROUNDING_MIN && task.toMin >= task.fromMin,
        () => `${task.id} from ${task.fromMin} to ${task.toMin}, after ${before.id}`,
      ),
      // A batch is used up before the next one is mixed.
      ...unless(
        !before.batch || before.batch.no === task.batch?.no || before.empties,
        () => `${task.id} before batch ${before.batch?.no} is used up`,
      ),
    ];
  });
  return [
    ...unless(told.join() === due.sort().join(), () => `to do ${told.join()}, due ${due.join()}`),
    ...unless(
      emptied.join() === batches.map((b) => b.no).join(),
      () => `batches used up: ${emptied.join()}`,
    ),
    ...order,
  ];
};

/** Done exactly by plan, the job is never behind, nor is a batch short of time. */
const neverBehind: Law = (plan) => {
  const tasks = tasksOf(plan);
  return tasks.flatMap((task) => {
    const at = Date.parse(plan.survey.window.startAt) + task.fromMin * MINUTE;
    const { batch } = task;
    const startedAt = at + ((batch?.mixedAtMin ?? 0) - task.fromMin) * MINUTE;
    const mixes = batch ? [{ batchNo: batch.no, startedAt, placedAt: null, binned: false }] : [];
    const pace = paceOf(plan, { tasks, at: task, mixes, now: at, zone: 'UTC' });
    const said = (['metric', 'us'] as const).map((units) => word(pace.say, units));
    return [
      ...unless(
        Math.abs(pace.behindMin) < ON_TIME_MIN && (pace.batch?.spareMin ?? 0) >= -ON_TIME_MIN,
        () => `${task.id}: ${pace.behindMin} min behind, ${pace.batch?.spareMin} min left`,
      ),
      ...said.flatMap((text) =>
        unless(
          /^On time: back in service .* (early|late)\.$/.test(text),
          () => `${task.id}: ${text}`,
        ),
      ),
    ];
  });
};

/** Masses read from the screen and weighed give the right ratio, in both unit systems. */
const weighable: Law = (plan) =>
  planBatches(plan).flatMap(({ no, aG, bG, round }) => {
    const weigh = weighing(mixOf(plan, planRound(plan, round)?.card.code));
    if (aG === null || bG === null || !weigh) return [];
    return (['metric', 'us'] as const).flatMap((units) => {
      const [a = NaN, b = NaN] = [aG, bG].map((grams) => {
        const read = parseQuantity(formatQuantity(grams, 'mass', units), 'mass', { system: units });
        return read.ok ? read.value : NaN;
      });
      const offPct = Math.abs((b / a / (bG / aG) - 1) * 100);
      return unless(
        offPct <= weigh.tolerancePct,
        () => `batch ${no} in ${units}: ${offPct} % off, ${weigh.tolerancePct} % allowed`,
      );
    });
  });

/** A count is named in its step's text, fits into its minutes, and belongs to a step with a hold. */
const countable: Law = (plan) => [
  ...plan.steps.flatMap((step) => {
    const { id, timed, hold, minutes } = step;
    if (!timed) return [];
    const told = formatQuantity(timed.minutes, 'time', 'metric');
    return [
      ...unless(hold !== null, () => `${id} counts ${told} and has no hold`),
      ...unless(
        stepWords(step).includes(told),
        () => `${id} does not say ${told}: ${stepWords(step)}`,
      ),
      ...unless(
        timed.minutes * timed.times <= minutes + ROUNDING_MIN,
        () => `${id} counts ${timed.times} times ${told} in ${minutes} min`,
      ),
    ];
  }),
  ...plan.steps.flatMap((step) => {
    if (step.name !== 'mix') return [];
    const round = plan.rounds.find((r) => r.id === step.round);
    return mixStages(mixOf(plan, round?.card.code), plan.schools).flatMap((stage) => {
      const told = formatQuantity(stage.minutes, 'time', 'metric');
      return unless(
        stepWords(step).includes(told),
        () => `${step.id} does not say ${told}: ${stepWords(step)}`,
      );
    });
  }),
];

/** The checker finds no breach, and every step and figure has a known id. */
const checked: Law = (plan) => [
  ...checkPlan(plan)
    .filter((f) => !f.ok)
    .map((f) => JSON.stringify(f)),
  ...unknownIds(plan).map((id) => `unknown id ${id}`),
];

/** Nothing is blank, no text contains a unit, and every sentence is complete. */
const whole: Law = (plan) => [
  ...blanks(withoutCards(plan)).map((path) => `${path} is blank`),
  ...texts(withoutCards(plan))
    .filter((text) => WRITTEN_OUT.test(text))
    .map((text) => `a unit is written out: ${text}`),
  ...sentences(plan)
    .filter((text) => /NaN|undefined|Infinity|[{}]|\s,|\.\./.test(text))
    .map((text) => `not a sentence: ${text}`),
];

/** Every card in a sentence is a supply, and every bought aid is used by a step. */
const supplied: Law = (plan) => {
  const codes = new Set(plan.supplies.map((s) => s.code));
  const spoken = new Set(plan.steps.flatMap((s) => stepWords(s).match(/\b[A-Z]-\d{3}\b/g) ?? []));
  return [
    ...[...spoken].filter((code) => !codes.has(code)).map((code) => `${code} is not supplied`),
    ...plan.supplies
      .filter(({ role, code }) => role === 'aid' && code && !spoken.has(code))
      .map(({ code }) => `${code} is bought for no step`),
  ];
};

/** Service waits for every milestone that it loads: resistance to a medium does not imply strength. */
const loadedInOrder: Law = (plan) =>
  plan.rounds.flatMap(({ id, needed, milestones }) => {
    const minutes = (of: string | null) => milestones.find((x) => x.id === of)?.minutes ?? 0;
    const before = !needed
      ? []
      : [
          ...(needed === 'handle' ? [] : ['handle']),
          ...(['immersion', 'chemical', 'fullLoad'].includes(needed) ? ['lightLoad'] : []),
          ...(needed === 'chemical' ? ['fullLoad', 'immersion'] : []),
        ];
    return before.flatMap((one) =>
      unless(
        minutes(needed) >= minutes(one) - ROUNDING_MIN,
        () => `${id}: ${needed} after ${minutes(needed)} min, ${one} after ${minutes(one)} min`,
      ),
    );
  });

/** Batches are numbered in order; each has slots, and its last touch is in time. */
const placedInTime: Law = (plan) =>
  planBatches(plan).flatMap((b, i) => {
    const own = plan.schedule.filter((s) => s.batch === b.no);
    const last = Math.max(...own.map((s) => s.to));
    return [
      ...unless(b.no === i + 1, () => `batch ${b.no} is the ${i + 1}th`),
      ...unless(
        own.length > 0 && Math.abs(last - b.lastTouchMin) < ROUNDING_MIN,
        () => `batch ${b.no} is last touched at ${b.lastTouchMin}, its slots end at ${last}`,
      ),
      ...unless(
        b.lastTouchMin <= b.placeByMin + ROUNDING_MIN,
        () => `batch ${b.no} is last touched at ${b.lastTouchMin}, ${b.placeByMin} is the end`,
      ),
    ];
  });

const DAY_MIN = 1440;

/** The last steps agree the next look that the plan names, and tidy. */
const endsAgreed: Law = (plan) => {
  const [agree, tidy] = plan.steps.slice(-2);
  const said = agree?.says?.flatMap((s) => s.values.days ?? [])[0] as { value: number } | undefined;
  const days = said && said.value / DAY_MIN;
  return [
    ...unless(
      agree?.name === 'agree' && tidy?.name === 'tidy',
      () => `the last steps are ${agree?.name} and ${tidy?.name}`,
    ),
    ...unless(
      days === plan.nextLookDays,
      () => `the next look is agreed in ${days} days; the plan names ${plan.nextLookDays}`,
    ),
  ];
};

/** No sentence is untrue of the material, the tool, the surface or the place. */
const trueWords: Law = (plan) =>
  falseSentences(plan).map(({ step, said, needs }) => `${step} needs ${needs}: ${said}`);

/** No instruction is longer than a person reads at work. */
const short: Law = (plan) =>
  longSentences(plan).map(({ step, said, words }) => `${step} has ${words} words: ${said}`);

/** All laws by name, as a failing test prints them. */
export const LAWS: Readonly<Record<string, Law>> = {
  checked,
  oneByOne,
  neverBehind,
  weighable,
  countable,
  whole,
  supplied,
  loadedInOrder,
  placedInTime,
  endsAgreed,
  trueWords,
  short,
};

/** Every breach of a plan, with the law's name and the card. */
export const breachesOf = (plan: Plan): string[] =>
  Object.entries(LAWS).flatMap(([name, law]) =>
    law(plan).map((breach) => `${plan.card.code}, ${name}: ${breach}`),
  );
