import { t } from '../text/text';
import { MILESTONE_NAMES } from '../materials/milestones';
import { drawPacks } from '../work/draw';
import { celsius, joined, m, minutes, ml, type Message } from '../message/message';
import { MOST_DOWN_MIN } from '../survey/common';
import { neededOn } from '../work/round';
import { ownRounds, type JudgedJob } from './outcome';
import {
  fits,
  fitsBuilt,
  fitsIf,
  joinConditions,
  no,
  relaxCommon,
  type Judgement,
  type Rule,
} from '../rules/rule';

/** More batches than this in one job are a risk. */
const MANY_BATCHES = 6;
/** The length of a stop is suggested in steps of this, minutes. */
const HALF_HOUR = 30;

/** Whether the job can be done: other materials, batches, hours, shelf. */
export const jobRules: Rule<JudgedJob>[] = [
  {
    id: 'seconds',
    name: t('With it'),
    question: t('Do the other materials of the job stand it too?'),
    judge: ({ sound, secondTerms: terms, job }) => {
      const others = () => job().draft.rounds.filter((r) => r.card !== job().work.card);
      if (!sound) {
        const bad =
          others().find((r) => r.problem) ??
          ownRounds(job()).find((r) => r.problem && r.batching.problem === null);
        if (bad?.problem) return no(bad.problem);
      }
      if (terms.length > 0)
        return fitsIf(
          () => joinConditions(terms.map((t) => t.condition)),
          () => joined(terms.map((t) => t.because)),
          { steps: terms.every((t) => t.steps) ? terms.flatMap((t) => t.steps ?? []) : undefined },
        );
      return fits(() => {
        const codes = [...new Set(others().map((r) => r.card.code))];
        return codes.length === 0
          ? m('It needs no other material.')
          : m('With {codes}.', { codes });
      });
    },
  },
  {
    id: 'aids',
    name: t('Cleaners'),
    question: t('May its cleaners and release agents be used here?'),
    judge: ({ aidProblem }) =>
      aidProblem
        ? no(aidProblem)
        : fits(t('What it is cleaned and kept off with may be used here.')),
  },
  {
    id: 'batches',
    name: t('Batches'),
    question: t('Can it be mixed and placed inside its working life?'),
    judge: ({ sound, batches: n, chose, job }) => {
      const bad = sound ? null : ownRounds(job()).find((r) => r.problem);
      if (bad?.problem) return no(bad.problem);
      const against = {
        value: n,
        limit: MANY_BATCHES,
        quantity: 'count' as const,
        sense: 'max' as const,
      };
      const each = (): Message => {
        const [first] = ownRounds(job()).flatMap((r) => r.batches);
        return m('{n, plural, one {{each}} other {{each} each}}, {life} of life', {
          n,
          each: ml(first?.ml ?? 0),
          life: minutes(first?.lifeMin ?? 0),
        });
      };
      if (chose)
        return fitsIf(
          () => ownRounds(job()).flatMap((r) => r.batching.chose ?? [])[0] as Message,
          () => m('{each}; by itself it would not be placed in time.', { each: each() }),
          { against, steps: ['mix'] },
        );
      if (n > MANY_BATCHES)
        return fitsBuilt(
          () => m('mixed in {n} small batches', { n }),
          () =>
            m('{each}; more than {many} follow one another.', { each: each(), many: MANY_BATCHES }),
        );
      return fits(
        () => m('{n, plural, one {One batch:} other {# batches:}} {each}.', { n, each: each() }),
        against,
      );
    },
  },
  {
    id: 'window',
    name: t('Back in'),
    question: t('Is it cured before it must run?'),
    judge: ({ ask, sound, readyMin, heldForTimeC, coldReadyMin, job }) => {
      const laid = sound ? null : job().laid;
      if (laid?.ok === false) return no(laid.why);
      const { downMin } = ask.survey.window;
      const against = {
        value: coldReadyMin ?? readyMin,
        limit: downMin,
        quantity: 'time' as const,
        sense: 'max' as const,
      };
      const given = () => ({
        name: MILESTONE_NAMES[neededOn(ask.card, ask.demand.needed)],
        ready: minutes(coldReadyMin ?? readyMin),
        down: minutes(downMin),
      });
      const late = () => m('Ready for {name} in {ready}; it may be down {down}.', given());
      if (heldForTimeC !== null)
        return fitsIf(
          () => m('held at {temp} or more to the end of its cure', { temp: celsius(heldForTimeC) }),
          late,
          {
            against,
            steps: ['heat'],
            relax: relaxCommon(
              'readings.surfaceC',
              `${heldForTimeC} °C`,
              m('Would as it is at {temp}.', { temp: celsius(heldForTimeC) }),
            ),
          },
        );
      if (readyMin <= downMin)
        return fits(() => m('Ready for {name} in {ready}.', given()), against);
      const more = Math.ceil((readyMin - downMin) / HALF_HOUR) * HALF_HOUR;
      return no(late, {
        against,
        relax:
          downMin + more <= MOST_DOWN_MIN
            ? relaxCommon(
                'window.downMin',
                `${downMin + more} min`,
                m('Would with {more} more.', { more: minutes(more) }),
              )
            : undefined,
      });
    },
  },
  {
    id: 'stock',
    name: t('On the shelf'),
    question: t('Is enough of it on the shelf?'),
    judge: ({ ask: { card, context, survey }, drawn: need }): Judgement => {
      if (!context.shelf) return fits(t('The shelf is not counted here.'));
      const own = context.shelf.filter((l) => l.cardCode === card.code);
      const drawn = drawPacks({ need, packs: card.packs, lots: own, at: survey.window.startAt });
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
      if (toBuy.length === 0) return fits(t('All packs are on the shelf.'), against);
      return fitsIf(
        () => m('{packs} is fetched first', { packs: toBuy.map((p) => `${p.count} × ${p.label}`) }),
        () => m('{held} of {wanted} packs are on the shelf.', { held, wanted }),
        { against },
      );
    },
  },
];
