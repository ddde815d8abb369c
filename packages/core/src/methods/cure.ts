import { sentences } from '../message/sentences';
import { t } from '../text/text';
import type { MilestoneId } from '../materials/milestones';
import { MILESTONE_NAMES } from '../materials/milestones';
import type { Says } from '../message/sentences';
import { celsius, m, minutes, type Message } from '../message/message';
import type { Round } from '../work/round';
import type { StepDraft } from '../work/step';
import type { Work } from '../work/work';
import { setsInWater } from './gate';
import { notBefore, step, wrong, type More } from './step';

/** Nobody touches it until it is ready. */
export const leave = (work: Work, round: Round, extra?: Says): StepDraft =>
  step('leave', {
    station: 'cure',
    does: 'wait',
    title: t('Leave it'),
    minutes: 0,
    says: () => [
      sentences(
        `
          Do not touch the repair.
          Keep it at {temp} or warmer{dry, select, yes { and dry} other {}}.
        `,
        {
          temp: celsius(work.tempC),
          dry: work.card.damp === 'dry' && !setsInWater(work) ? 'yes' : 'no',
        },
      ),
      extra,
    ],
    round,
    wrong: [
      wrong(
        t('It got colder'),
        t('It needs more time. Measure the temperature and read the new times.'),
      ),
    ],
  });

/** A wait for a second material's cure: checked by touch, not only by time. */
export const waitFor = (
  round: Round,
  at: MilestoneId,
  { title, text, more = {} }: { title: string | Message; text: Says; more?: More },
): StepDraft =>
  step('wait', {
    station: 'cure',
    does: 'wait',
    title,
    minutes: 2,
    says: text,
    round,
    after: [
      notBefore(
        round,
        at,
        m('{round}: {moment} first.', { round: round.title, moment: MILESTONE_NAMES[at] }),
      ),
    ],
    ...more,
  });

/** Heat that brings it to its rating, where the service needs it. */
export function postCure({ card, demand }: Work, round: Round): StepDraft[] {
  const { postCure: heat } = card;
  if (!heat || demand.service.mediumC <= heat.withoutC) return [];
  return [
    step('post-cure', {
      station: 'cure',
      does: 'heat',
      title: t('Post-cure'),
      minutes: 20,
      says: sentences(
        `
          Heat the repair evenly to {temp}.
          Keep it at {temp} for {time}.
          Without this heat it may not be used above {without}.
        `,
        { temp: celsius(heat.tempC), time: minutes(heat.minutes), without: celsius(heat.withoutC) },
      ),
      round,
      hold: { kind: 'countdown', label: m('Post-cure'), minutes: heat.minutes },
      after: [notBefore(round, card.cure.milestones.handle ? 'handle' : 'tackFree')],
    }),
  ];
}
