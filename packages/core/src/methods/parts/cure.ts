import type { MilestoneId } from '../../materials/card';
import type { StepDraft } from '../../plan/step';
import type { WorkUp } from '../../plan/workUp';
import { say } from '../../units/format';

const station = 'cure' as const;
type More = Partial<Pick<StepDraft, 'title' | 'wrong' | 'hold' | 'minutes' | 'waitsFor'>>;

/** Nobody touches it until it is ready. */
export const leave = (work: WorkUp, text = '', more: More = {}): StepDraft => ({
  id: 'leave',
  station,
  title: 'Leave it',
  text: () =>
    `Keep it at ${say(work.survey.readings.surfaceC, 'temperature')} or warmer${work.card.damp === 'dry' ? ' and dry' : ''}. Hard is not cured.${text ? ` ${text}` : ''}`,
  minutes: 0,
  hold: { kind: 'check' },
  wrong: [
    {
      sign: 'It got colder',
      remedy: 'Every time stretches. Measure, and read the strip at the new temperature.',
    },
  ],
  ...more,
});

/** Heat that brings it to its rating, where the service asks for it. */
export function postCure({ card, demand }: WorkUp): StepDraft[] {
  const { postCure: heat } = card;
  if (!heat || demand.service.mediumC <= heat.withoutC) return [];
  return [
    {
      id: 'post-cure',
      station,
      title: 'Post-cure',
      text: () =>
        `Hold at ${say(heat.tempC, 'temperature')} for ${say(heat.minutes, 'time')}, heated evenly. Without it the limit is ${say(heat.withoutC, 'temperature')}.`,
      minutes: heat.minutes,
      hold: {
        kind: 'reading',
        label: 'Held at',
        quantity: 'temperature',
        min: heat.tempC,
        max: null,
      },
    },
  ];
}

/** Something done to it while it cures, not before a moment of the cure. */
export const during = (
  id: string,
  waitsFor: MilestoneId,
  title: string,
  minutes: number,
  text: () => string,
  more: More = {},
): StepDraft => ({
  id,
  station,
  title,
  text,
  minutes,
  waitsFor,
  hold: { kind: 'check' },
  ...more,
});
