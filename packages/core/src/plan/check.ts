import { m, minutes, type Message } from '../message/message';
import type { Plan, PlanRound } from './plan';
import { falseSentences } from './words';

/** The laws of a plan; a finding says what was checked, and the margin. */
export type Law =
  | 'life'
  | 'link'
  | 'order'
  | 'amount'
  | 'supply'
  | 'window'
  | 'approval'
  | 'zone'
  | 'tyre'
  | 'hold'
  | 'labour'
  | 'ready'
  | 'slot'
  | 'figure'
  | 'words';

export interface Finding {
  law: Law;
  about: Message;
  ok: boolean;
  /** Minutes of margin; null if it is not about time. */
  slackMin: number | null;
}

const EPS = 1e-6;
const found = (
  law: Law,
  { ok, about, slackMin = null }: { ok: boolean; about: Message; slackMin?: number | null },
): Finding => ({
  law,
  ok,
  about,
  slackMin,
});

const stepTitle = (plan: Plan, id: string): Message =>
  plan.steps.find((s) => s.id === id)?.title ?? m(id);
const slotsOf = (plan: Plan, step: string) => plan.schedule.filter((s) => s.step === step);
/** When a step begins; one without minutes begins with the next. */
function beginsAt(plan: Plan, step: string): number | null {
  const own = slotsOf(plan, step);
  return own.length > 0 ? Math.min(...own.map((s) => s.from)) : null;
}
const endsAt = (plan: Plan, step: string): number | null => {
  const own = slotsOf(plan, step);
  return own.length > 0 ? Math.max(...own.map((s) => s.to)) : null;
};
const mixes = (round: PlanRound) => round.batches.map((b) => b.mixedAtMin);

/** Every batch is placed before its working life times the usable share ends, read from the slots. */
function lives(plan: Plan): Finding[] {
  return plan.rounds.flatMap((round) =>
    round.batches.map((batch) => {
      const slots = plan.schedule.filter((s) => s.batch === batch.no);
      const last = slots.length > 0 ? Math.max(...slots.map((s) => s.to)) : batch.lastTouchMin;
      const first = slots.length > 0 ? Math.min(...slots.map((s) => s.from)) : batch.mixedAtMin;
      const slack = batch.lifeMin * plan.site.useFraction - (last - first);
      return found('life', {
        ok: slack >= -EPS,
        about: m('{round}, batch {no}: placed in its life', { round: round.name, no: batch.no }),
        slackMin: slack,
      });
    }),
  );
}

/** Every wait keeps both its limits, or has replacement steps. */
function links(plan: Plan): Finding[] {
  return plan.links.flatMap((link): Finding[] => {
    const { from } = link;
    const start = beginsAt(plan, link.to);
    if (start === null) return [];
    const name = m('{to}: {why}', { to: stepTitle(plan, link.to), why: link.why });
    if ('step' in from) {
      const ended = endsAt(plan, from.step);
      if (ended === null) return [];
      return [
        found('link', { ok: start >= ended + link.least - EPS, about: name }),
        ...(link.most === null || link.instead.length > 0
          ? []
          : [
              found('link', {
                ok: start <= ended + link.most + EPS,
                about: name,
                slackMin: ended + link.most - start,
              }),
            ]),
      ];
    }
    const round = plan.rounds.find((r) => r.id === from.round);
    if (!round || round.batches.length === 0) return [];
    const moment = round.milestones.find((x) => x.id === from.at)?.minutes;
    const opens = Math.max(...mixes(round)) + Math.max(link.least, moment ?? 0);
    return [
      found('link', { ok: moment !== undefined && start >= opens - EPS, about: name }),
      ...(link.most === null || link.instead.length > 0
        ? []
        : [
            found('link', {
              ok: start <= Math.min(...mixes(round)) + link.most + EPS,
              about: name,
              slackMin: Math.min(...mixes(round)) + link.most - start,
            }),
          ]),
    ];
  });
}

/** Make safe first; approve before irreversible work; abrade, remove dust, wipe; dams before the mix. */
function order(plan: Plan): Finding[] {
  const { steps } = plan;
  const at = (does: string) => steps.findIndex((s) => s.does === does);
  const bites = steps.findIndex((s) => ['strip', 'open-up', 'abrade', 'place'].includes(s.does));
  const approve = steps.findIndex((s) => s.does === 'approve');
  const held = plan.approvers.length > 0;
  const findings = [
    found('order', {
      ok: at('safe') >= 0 && (bites < 0 || at('safe') < bites),
      about: m('made safe before anything is opened'),
    }),
    found('approval', {
      ok: !held || (approve >= 0 && approve < bites),
      about: m('approved by name before what cannot be undone'),
    }),
  ];
  steps.forEach((s, i) => {
    if (s.name !== 'mix') return;
    const before = steps.slice(0, i);
    const last = (...does: string[]) => before.map((x) => does.includes(x.does)).lastIndexOf(true);
    const abraded = last('abrade', 'strip');
    const dusted = last('dust-off');
    const wiped = last('wipe');
    if (abraded >= 0 && steps.some((x) => x.does === 'dust-off'))
      findings.push(
        found('order', {
          ok: dusted > abraded,
          about: m('{step}: dusted off after abrading', { step: s.title }),
        }),
      );
    if (wiped >= 0)
      findings.push(
        found('order', {
          ok: abraded < wiped,
          about: m('{step}: nothing abraded after the last wipe', { step: s.title }),
        }),
      );
    const released = last('release');
    if (
      released >= 0 &&
      abraded >= 0 &&
      !before.slice(released).some((x) => x.does === 'abrade' && x.round !== null)
    )
      findings.push(
        found('order', {
          ok: released > before.findIndex((x) => x.does === 'abrade'),
          about: m('{step}: release after blasting', { step: s.title }),
        }),
      );
  });
  const firstDam = steps.map((s) => s.does).lastIndexOf('dam');
  const mainMix = steps.findIndex((s) => s.name === 'mix' && s.round === plan.mainRound);
  if (firstDam >= 0 && mainMix >= 0)
    findings.push(
      found('order', {
        ok: firstDam < mainMix,
        about: m('sand, backing and dams before the mix that needs them'),
      }),
    );
  return findings;
}

/** Batches add up to their round, packs cover what is drawn, every supply is used, and everything used is a supply. */
function amounts(plan: Plan): Finding[] {
  const used = new Set(plan.steps.flatMap((s) => s.uses));
  const ids = new Set(plan.supplies.map((s) => s.id));
  const names = [...plan.rounds, ...plan.steps].map((x) => x.id);
  return [
    found('amount', {
      ok: new Set(names).size === names.length,
      about: m('every round and step has an id of its own'),
    }),
    ...plan.rounds.map((r) => {
      const sum = r.batches.reduce((s, b) => s + b.ml, 0);
      return found('amount', {
        ok: Math.abs(sum - r.amountMl) <= EPS * Math.max(1, r.amountMl),
        about: m('{round}: its batches add up', { round: r.name }),
      });
    }),
    ...plan.supplies.flatMap((s) => [
      found('supply', {
        ok: used.has(s.id),
        about: m('{name} is used by a step', { name: s.name }),
      }),
      found('supply', {
        ok:
          (s.leftover === null || s.leftover >= -EPS) &&
          (s.code === null || s.amount <= 0 || s.picks.length > 0),
        about: m('{name}: its packs cover it', { name: s.name }),
      }),
      found('supply', {
        ok: Number.isFinite(s.amount) && s.amount >= 0,
        about: m('{name} has an amount', { name: s.name }),
      }),
    ]),
    ...[...used].map((id) =>
      found('supply', { ok: ids.has(id), about: m('{id} is among the supplies', { id }) }),
    ),
    ...plan.rounds.map((r) =>
      found('supply', {
        ok: ids.has(r.card.code) && plan.cards[r.card.code] !== undefined,
        about: m('{card} is among the supplies', { card: r.card.code }),
      }),
    ),
    ...plan.steps.flatMap((s) =>
      s.figures
        .filter((id) => !plan.figures[id])
        .map((id) =>
          found('figure', {
            ok: false,
            about: m('{step} names a figure that is not there: {id}', { step: s.title, id }),
          }),
        ),
    ),
  ];
}

/** Every figure has a working that ends in it. */
function worked(plan: Plan): Finding[] {
  return Object.values(plan.figures).map((f) => {
    const end = f.working.at(-1)?.value;
    const near =
      typeof end === 'number' && Math.abs(end - f.value) <= 1e-6 * Math.max(1, Math.abs(f.value));
    return found('figure', {
      ok: near,
      about: m('{figure}: its working ends in it', { figure: f.label }),
    });
  });
}

/** Back in service inside the stop; slots in order; labour and ready time match the schedule. */
function times(plan: Plan): Finding[] {
  const { schedule, readyMin, survey } = plan;
  const labour = schedule.reduce((s, x) => s + (x.to - x.from) * x.people, 0);
  const last = Math.max(0, ...schedule.map((s) => s.to));
  const cured = plan.rounds.flatMap((r) => {
    const at = r.milestones.find((x) => x.id === r.needed)?.minutes;
    return at === undefined || r.batches.length === 0 ? [] : [Math.max(...mixes(r)) + at];
  });
  const ready = Math.max(last, ...cured);
  const inOrder = schedule.every(
    (s, i) => s.to >= s.from - EPS && (i === 0 || s.from >= (schedule[i - 1]?.to ?? 0) - EPS),
  );
  return [
    found('window', {
      ok: readyMin <= survey.window.downMin + EPS,
      about: m('back in service inside {down}', { down: minutes(survey.window.downMin) }),
      slackMin: survey.window.downMin - readyMin,
    }),
    found('slot', { ok: inOrder, about: m('one thing after another') }),
    found('labour', {
      ok: Math.abs(labour - plan.labourMin) <= EPS * Math.max(1, labour),
      about: m('labour is the sum of the schedule'),
    }),
    found('ready', {
      ok: Math.abs(ready - readyMin) <= EPS * Math.max(1, ready),
      about: m('ready when the last of the schedule and its cures is'),
    }),
  ];
}

/** No spark in a classified area; no air in a tyre; a measured gate; a named engineer where one decides. */
function safety(plan: Plan): Finding[] {
  const { steps, survey } = plan;
  const zone = survey.site.area !== 'safe';
  const tyre = plan.cautions.some((c) => c.id === 'tyre');
  const core = steps.findIndex((s) => s.name === 'core-out');
  const bites = steps.findIndex((s) => ['strip', 'open-up', 'abrade', 'place'].includes(s.does));
  return [
    ...steps
      .filter((s) => s.sparks)
      .map((s) =>
        found('zone', {
          ok: !zone,
          about: m('{step}: no sparking tool in a zone', { step: s.title }),
        }),
      ),
    ...(tyre
      ? [
          found('tyre', {
            ok: core >= 0 && core < bites,
            about: m('core out before the tyre is touched'),
          }),
        ]
      : []),
    ...steps
      .filter((s) => s.does === 'gate' || s.does === 'approve')
      .map((s) =>
        found('hold', {
          ok:
            s.does === 'gate'
              ? s.hold?.kind === 'ambient' || s.hold?.kind === 'reading'
              : s.hold?.kind === 'approval',
          about: m('{step} is a hold and not only words', { step: s.title }),
        }),
      ),
  ];
}

/** No sentence is untrue of the material, the tool, the surface or the place. */
const words = (plan: Plan): Finding[] =>
  falseSentences(plan).map(({ said, needs }) =>
    found('words', { ok: false, about: m('“{said}” is true only for {needs}', { said, needs }) }),
  );

/**
 * Checks every limit in a saved plan, each with its margin: working life, links, order, amounts, supplies, window,
 * approvals, classified areas. Reads only the plan and shares no code with the planner, so that a fault in one shows in
 * the other.
 */
export const checkPlan = (plan: Plan): Finding[] => [
  ...lives(plan),
  ...links(plan),
  ...order(plan),
  ...amounts(plan),
  ...worked(plan),
  ...times(plan),
  ...safety(plan),
  ...words(plan),
];
