import { t } from '../text/text';
import { m } from '../message/message';
import { gate } from '../methods/gate';
import { dustOff, wipe } from '../methods/prep';
import { gradeMinutes, wipeMinutes } from '../methods/pace';
import { step } from '../methods/step';
import type { Missed, StepDraft } from '../work/step';
import type { Work } from '../work/work';

/**
 * The steps that replace a missed window: they are put into the plan. A job that wipes nothing before its first mix,
 * such as damp concrete, wipes nothing here either.
 */
export const missedSteps =
  (work: Work, wipes: boolean) =>
  (kind: Missed, to: StepDraft): StepDraft[] => {
    const round = to.round;
    switch (kind) {
      case 'abrade':
        return [
          step.prep('abrade', {
            does: 'abrade',
            title: t('Abrade: its window has closed'),
            minutes: gradeMinutes(work) * work.trade.pace.abradeShare,
            text: m(
              'By then it has gone shiny and does not hold: matt all over by hand, wet where it dusts.',
            ),
            round,
          }),
          { ...dustOff(), round },
          ...(wipes ? [{ ...wipe(work), round }] : []),
        ];
      case 'gate':
        return [{ ...gate(work), round }];
      case 'prepare':
        return [
          step.prep('grade', {
            does: 'abrade',
            title: t('Prepare it again'),
            minutes: gradeMinutes(work) * work.trade.pace.abradeShare,
            text: m('Bare metal has waited too long: over it once more to the same grade.'),
            round,
          }),
          { ...dustOff(), round },
          ...(wipes ? [{ ...wipe(work), round }] : []),
        ];
      case 'dampen':
        return [
          step.prep('dampen', {
            does: 'dampen',
            title: t('Dampen again'),
            minutes: 8,
            text: m('It has dried: soak again to saturated, surface dry.'),
            round,
          }),
        ];
      case 'condition':
        return [
          step.prep('abrade', {
            does: 'abrade',
            title: t('Buff and condition again'),
            minutes: wipeMinutes(work),
            text: m(
              'Its open time is over: buff lightly, dust off, lay it again, and let it flash off.',
            ),
            round,
          }),
          { ...dustOff(), round },
        ];
    }
  };
