import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, mm } from '../../message/message';
import { lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { crackNeeds, rodStep } from '../../methods/crack';
import { leave } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { dustOff, gradeStep } from '../../methods/prep';
import { notBefore } from '../../methods/step';
import type { Draft } from '../../work/step';

import { head, step, type W } from './common';

/** The method without injection: a sealant is applied into a chase. */
export function surfaceDraft(work: W): Draft {
  const { survey, demand } = work;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Bead'),
      areaMm2: 0,
      touches: [mixTouch(work.card), { name: 'gun', placing: 1 }, { name: 'tool', placing: 0.2 }],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  const metres = survey.damages.reduce((s, d) => s + d.lengthMm, 0) / 1000;
  return {
    rounds: [main],
    steps: [
      isolate(work, {
        extra: m(
          'Level in the basin below the crack where it can be; confined space where a person goes in.',
        ),
      }),
      protect(work),
      ...removeOld(work),
      step.prep('chase', {
        does: 'abrade',
        title: t('Chase it'),
        minutes: 10 + metres * 4,
        says: sentences(
          `
            Cut a square groove along the crack.
            Depth: {deep}.
          `,
          { deep: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
        ),
        warns: sentences(
          `Wear a P3 mask, and cut wet or with dust extraction. The dust holds silica.`,
        ),
        sparks: survey.site.area === 'safe',
      }),
      gradeStep(work, 20),
      dustOff(),
      ...rodStep(work, survey.damages),
      ...beforeMixing(work),
      ...mixSteps(work, main),
      step.touch(main, 'gun', {
        title: t('Gun it in'),
        says: sentences(`Fill the groove over the rod to both walls, slightly hollow.`),
        people: 1,
      }),
      step.touch(main, 'tool', {
        title: t('Tool it'),
        says: sentences(`
          Smooth the joint once with a wet spatula.
          Pull the tape off at once.
        `),
        people: 1,
      }),
      cleanTools(main),
      leave(work, main),
      lookAndTap(
        ready,
        sentences(`Check that it sticks to both walls and has no bubble and no gap.`),
      ),
      head(work),
    ],
    needs: [...crackNeeds(work, survey.damages), ...heldNeeds(work)],
    figures: () => [],
  };
}
