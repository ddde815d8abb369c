import { sentences } from '../message/sentences';
import { t } from '../text/text';
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
            says: sentences(
              `The overcoat window has closed. Abrade the surface by hand until it is matt all over.`,
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
            says: sentences(
              `The bare metal has waited too long. Prepare it again to the same grade.`,
            ),
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
            says: sentences(`
              The surface has dried. Wet it again.
              Wait until it is dark and shows no water.
            `),
            round,
          }),
        ];
      case 'condition':
        return [
          step.prep('abrade', {
            does: 'abrade',
            title: t('Buff and condition again'),
            minutes: wipeMinutes(work),
            says: sentences(`
              The open time is over. Buff the surface lightly.
              Brush the dust off.
              Apply the conditioner again and let it dry.
            `),
            round,
          }),
          { ...dustOff(), round },
        ];
    }
  };
