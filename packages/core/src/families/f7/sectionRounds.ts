import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import type { W } from './steps';

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function sectionRoundsOf(work: W) {
  const { survey, demand } = work;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Section repair'),
      areaMm2: 0,
      touches: [
        mixTouch(work.card),
        { name: 'patch', fixed: 40 },
        { name: 'fill-out', placing: 1, fixed: 20 },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return { work, main, ready, survey, rounds: [main] };
}
export type SectionRounds = ReturnType<typeof sectionRoundsOf>;
