import { MILESTONE_NAMES } from '../materials/card';
import { drawPacks } from '../work/draw';
import { celsius, m, minutes, ml, type Message } from '../message/message';
import { neededOn } from '../work/round';
import type { Job } from '../job/job';
import { fits, fitsIf, no, relaxCommon, type Judgement, type Rule } from '../rules/rule';

/** More batches than this in one job is a crowd at the pail, not a plan to lean on. */
const MANY_BATCHES = 6;
/** A stop is asked for in steps of this, minutes. */
const HALF_HOUR = 30;

/** A job as the last rules see it: laid on the clock, and what it is held at so that it ends in time. */
export interface JudgedJob {
  job: Job;
  /** Held at this so that it is ready in time, °C; null where it need not be. */
  heldForTimeC: number | null;
  /** Ready without any heat, minutes; for the words beside it. */
  coldReadyMin: number | null;
}

const ownRounds = ({ draft, work }: Job) =>
  draft.rounds.filter((r) => r.card.code === work.card.code);

/** Whether the job can be done: other materials, batches, hours, shelf. */
export const jobRules: Rule<JudgedJob>[] = [
  {
    id: 'seconds',
    name: 'With it',
    question: 'Do the other materials of the job stand it too?',
    judge: ({ job }) => {
      const others = job.draft.rounds.filter(
        (r) => r.card.code !== job.work.card.code || r.problem,
      );
      const bad =
        others.find((r) => r.problem && r.card.code !== job.work.card.code) ??
        others.find((r) => r.problem && r.batching.problem === null);
      if (bad?.problem) return no(bad.problem);
      const codes = [...new Set(others.map((r) => r.card.code))];
      return fits(() =>
        codes.length === 0 ? m('It needs no other material.') : m('With {codes}.', { codes }),
      );
    },
  },
  {
    id: 'batches',
    name: 'Batches',
    question: 'Can it be mixed and placed inside its working life?',
    judge: ({ job }) => {
      const rounds = ownRounds(job);
      const bad = rounds.find((r) => r.problem);
      if (bad?.problem) return no(bad.problem);
      const n = rounds.reduce((s, r) => s + r.batches.length, 0);
      const against = {
        value: n,
        limit: MANY_BATCHES,
        quantity: 'count' as const,
        sense: 'max' as const,
      };
      const [first] = rounds.flatMap((r) => r.batches);
      const each = (): Message =>
        m('{each} each, {life} of life', {
          each: ml(first?.ml ?? 0),
          life: minutes(first?.lifeMin ?? 0),
        });
      const chose = rounds.find((r) => r.batching.chose)?.batching.chose;
      if (chose)
        return fitsIf(
          chose,
          () => m('{each}; by itself it would not be placed in time.', { each: each() }),
          { against, planned: true },
        );
      if (n > MANY_BATCHES)
        return fitsIf(
          () => m('mixed in {n} small batches', { n }),
          () =>
            m('{each}; more than {many} follow one another.', { each: each(), many: MANY_BATCHES }),
          { against, planned: true },
        );
      return fits(
        () => m('{n, plural, one {One batch} other {# batches}}, {each}.', { n, each: each() }),
        against,
      );
    },
  },
  {
    id: 'window',
    name: 'Back in',
    question: 'Is it cured before it must run?',
    judge: ({ job, heldForTimeC, coldReadyMin }) => {
      const { survey, demand, card } = job.work;
      const { downMin } = survey.window;
      if (!job.laid.ok) return no(job.laid.why);
      const { readyMin } = job.laid;
      const name = MILESTONE_NAMES[neededOn(card, demand.needed)];
      const against = {
        value: coldReadyMin ?? readyMin,
        limit: downMin,
        quantity: 'time' as const,
        sense: 'max' as const,
      };
      const given = { name, ready: minutes(coldReadyMin ?? readyMin), down: minutes(downMin) };
      const late = () => m('Ready for {name} in {ready}; it may be down {down}.', given);
      if (heldForTimeC !== null)
        return fitsIf(
          () => m('held at {temp} or more to the end of its cure', { temp: celsius(heldForTimeC) }),
          late,
          {
            against,
            planned: true,
            relax: relaxCommon(
              'readings.surfaceC',
              `${heldForTimeC} °C`,
              m('Would as it is at {temp}.', { temp: celsius(heldForTimeC) }),
            ),
          },
        );
      if (readyMin <= downMin) return fits(() => m('Ready for {name} in {ready}.', given), against);
      const more = Math.ceil((readyMin - downMin) / HALF_HOUR) * HALF_HOUR;
      return no(late, {
        against,
        relax: relaxCommon(
          'window.downMin',
          `${downMin + more} min`,
          m('Would with {more} more.', { more: minutes(more) }),
        ),
      });
    },
  },
  {
    id: 'stock',
    name: 'On the shelf',
    question: 'Is enough of it on the shelf?',
    judge: ({ job }): Judgement => {
      const { card, context, survey } = job.work;
      const need = ownRounds(job).reduce((s, r) => s + r.draw, 0);
      if (!context.shelf) return fits('The shelf is not counted here.');
      const own = context.shelf.filter((l) => l.cardCode === card.code);
      const drawn = drawPacks(need, card.packs, own, survey.window.startAt);
      if (!drawn.ok) return no(drawn.why);
      const toBuy = drawn.picks.filter((p) => p.lot === null);
      const wanted = drawn.picks.reduce((n, p) => n + p.count, 0);
      const held = wanted - toBuy.reduce((n, p) => n + p.count, 0);
      const against = {
        value: held,
        limit: wanted,
        quantity: 'count' as const,
        sense: 'min' as const,
      };
      if (toBuy.length === 0) return fits('All packs are on the shelf.', against);
      return fitsIf(
        () => m('{packs} is fetched first', { packs: toBuy.map((p) => `${p.count} × ${p.label}`) }),
        () => m('{held} of {wanted} packs are on the shelf.', { held, wanted }),
        { against },
      );
    },
  },
];
