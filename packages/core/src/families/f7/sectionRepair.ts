import { returnToService } from '../../methods/accept';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { mixSteps, mixTouch } from '../../methods/mix';
import { line } from '../../calc/calc';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { leave } from '../../methods/cure';
import { approval } from '../../methods/begin';
import { degreaserNeed, dustOff, gradeStep } from '../../methods/prep';
import { notBefore } from '../../methods/step';
import { figureOf } from '../../work/figure';
import type { Draft } from '../../work/step';
import { step, LOOK_DAYS, margin, inflate, type W, prepSteps } from './steps';

/** Work for a licensed shop: Kelmot measures the opening and gives the size of the patch. */
export function sectionDraft(work: W): Draft {
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
  return {
    rounds: [main],
    steps: [
      approval('tyre-shop', m('A section repair is the licensed shop’s work, to its own table.')),
      ...prepSteps(work),
      step.prep(
        'open',
        'open-up',
        'Open up',
        45,
        m('Expose and remove every damaged cord; the opening is what is measured, not the cut.'),
        {
          hold: {
            kind: 'reading',
            label: m('Longest opening'),
            quantity: 'length',
            min: 1,
            max: null,
          },
          figures: ['opening'],
        },
      ),
      gradeStep(work, margin(work), { extra: m('Inside, larger than the patch.') }),
      dustOff(),
      ...beforeMixing(work),
      ...mixSteps(work, main),
      step.touch(
        main,
        'patch',
        'Cement, patch, stitch',
        m(
          'Reinforced patch by opening and position, arrows to the bead. Stitch from the centre, no air.',
        ),
      ),
      step.touch(
        main,
        'fill-out',
        'Fill outside',
        m('Uncured rubber into the opening, stitched in layers, proud.'),
      ),
      step.during(
        main,
        'heat-cure',
        'tackFree',
        'Heat cure',
        60,
        m('Heat pads and air bags, by the shop’s clock. Cool under pressure.'),
      ),
      leave(work, main),
      step.inspect(
        'contour',
        'Buff to the contour',
        15,
        m('No step; no air under the patch by tapping. Dust off.'),
        { after: ready, does: 'finish' },
      ),
      inflate(),
      ...returnToService(work, LOOK_DAYS[survey.intent]),
    ],
    needs: [degreaserNeed(work, m('the sidewall')), ...heldNeeds(work)],
    figures: () => {
      const longest = Math.max(...survey.damages.map((d) => d.lengthMm));
      return [
        figureOf(
          'opening',
          'Opening, at least',
          longest,
          'length',
          [
            line(
              'L',
              'longest injury',
              'as measured; the opening is measured again',
              longest,
              'mm',
              'survey',
            ),
          ],
          ['damages.0.lengthMm'],
        ),
      ];
    },
  };
}
