import { joined, m, mm } from '../../message/message';
import { hardness, returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import {
  CRACK_FIGURES,
  crackFigures,
  crackNeeds,
  isSealant,
  rodStep,
  sandStep,
} from '../../methods/crack';
import { leave } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { dustOff, gradeStep } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { momentText } from '../../methods/when';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { YardCrackSurvey } from './survey';

const stepIds = ['clear', 'deepen', 'pack', 'strike', 'gun'] as const;
const step = stepsOf(stepIds);
type W = Work<YardCrackSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Tamping and striking off, as a share of filling. */
const STRIKE_SHARE = 0.3;
/** Packing a crack by hand takes longer than pouring, by this factor. */
const PACKED = 1.6;

const packed = (work: W) => work.schools.sand === 'none';
const metres = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.lengthMm, 0) / 1000;
const shallow = ({ survey, card }: W) => survey.damages.filter((d) => d.depthMm < card.layer.minMm);

export const method: Method<YardCrackSurvey> = {
  stepIds,
  figureIds: CRACK_FIGURES,
  schools: ['sand', 'moving'],
  cautions: ['silica', 'traffic'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Cut both sides with a crack saw, lever it out in lengths; the sand stays.')],
  draft: (work) => {
    const { survey, demand, card } = work;
    const bead = isSealant(work);
    const place = bead ? 'gun' : 'pack';
    const main = work.round(
      mainSpec(work, {
        id: 'main',
        purpose: 'fill',
        title: bead ? m('Bead') : m('Fill'),
        areaMm2: 0,
        touches: [
          mixTouch(card),
          { name: place, placing: packed(work) ? PACKED : 1 },
          { name: 'strike', placing: bead ? STRIKE_SHARE / 2 : STRIKE_SHARE },
        ],
      }),
    );
    const ready = [notBefore(main, demand.needed)];
    const few = shallow(work).length;
    return {
      rounds: [main],
      steps: [
        isolate(work, {
          minutes: 15,
          extra: m('Close the lane, cones and a banksman where trucks turn.'),
        }),
        protect(work),
        ...removeOld(work),
        step.prep(
          'clear',
          'strip',
          'Clear it out',
          10 + metres(work) * 3,
          m(
            'Old soft sealant, plants and roots, loose sand out. Rake and wire-wheel: the walls are the bond.',
          ),
        ),
        ...(few > 0 && !bead
          ? [
              step.prep(
                'deepen',
                'abrade',
                'Deepen',
                10 + (shallow(work).reduce((s, d) => s + d.lengthMm, 0) / 1000) * 4,
                m(
                  '{n, plural, one {One run is} other {# runs are}} too shallow: cut down to {least} at least. Wet, and a P3 mask.',
                  { n: few, least: mm(card.layer.minMm) },
                ),
                {
                  sparks: survey.site.area === 'safe',
                  figures: ['opened'],
                },
              ),
            ]
          : []),
        gradeStep(work, 0, { extra: m('Walls, not the top.') }),
        dustOff(
          'Blow it clean with oil-free air, from one end to the other. Dust is a release agent.',
        ),
        step.prep(
          'dry',
          'dry',
          'Dry',
          10,
          m('Dry walls; a gas lance only where nothing burns near and the permit says so.'),
        ),
        ...rodStep(work, survey.damages),
        ...sandStep(work),
        ...beforeMixing(work),
        ...mixSteps(work, main),
        step.touch(
          main,
          place,
          bead ? 'Gun it in' : packed(work) ? 'Pack it by hand' : 'Fill it',
          bead
            ? m('Full to the walls over the rod, {deep} deep, slightly hollow.', {
                deep: mm(work.buildMm),
              })
            : packed(work)
              ? m('By hand, pressed in so that it bridges and does not run down.')
              : m(
                  'Place, press, leave it a little proud. The blend of dark and light sand makes the colour: try it dry beside the yard first.',
                ),
          {
            figures: ['resin', 'run'],
            wrong: [
              wrong('It runs away below', 'Stop: sand there, then go on.'),
              wrong('Dry sand in the mix', 'Back to the pail: paddle to the bottom.'),
            ],
          },
        ),
        step.touch(
          main,
          'strike',
          bead ? 'Tool it' : 'Tamp and strike off',
          bead
            ? m('A wet spatula, once. Pull the tape at once.')
            : m('Tamp it down, strike off flush with a steel edge, inside its life.'),
        ),
        cleanTools(main),
        leave(work, main, m('No wheel, no rain on it.')),
        lookAndTap(ready, 'Full to both walls and flush, every grain bound. Sweep it.', [
          wrong('Sand rubs off', 'Starved of resin: cut out, fill again.'),
          wrong('A wall lets go', 'Cut out there, clean to sound, fill again.'),
        ]),
        ...hardness(work),
        step.inspect(
          'open-traffic',
          'Say when it opens',
          2,
          joined([
            m('Walk on it {walk}, drive {drive}.', {
              walk: momentText(main, 'lightLoad'),
              drive: momentText(main, 'fullLoad'),
            }),
          ]),
          { does: 'tidy' },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [...crackNeeds(work, survey.damages), ...heldNeeds(work)],
      figures: () => crackFigures(work, survey.damages),
    };
  },
};
