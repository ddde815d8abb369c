import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { minutesTo } from '../plan/workUp';
import { defineMethod } from './method';
import { fingernail, inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeAll } from './parts/build';
import { crackFigures, filled, sandNeed } from './parts/crack';
import { leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { gate, gradeStep, isolate, mm, own, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F10'>>;

const made = (work: Work) => filled(work, work.survey.damages, work.site.workingDepthMm);
const packed = ({ context }: Work) => context.schools?.sand === 'none';
const isSealant = ({ card }: Work) => card.mix.kind === 'single';
const shallow = (work: Work) => made(work).runs.filter((r) => r.note === 'too-shallow').length;
const metres = ({ survey }: Work) => survey.damages.reduce((sum, d) => sum + d.lengthMm, 0) / 1000;

export const yardCrackMethod = defineMethod({
  family: 'F10',
  steps: (work: Work) => [
    isolate(work, { minutes: 15, text: 'Close the lane, cones and a banksman where trucks turn.' }),
    ...removeOld(work),
    own(
      'clear',
      'Clear it out',
      10 + metres(work) * 3,
      () =>
        'Old soft sealant, plants and roots, loose sand out. Rake, wire-wheel, blow clean: the walls are the bond.',
    ),
    ...(shallow(work) > 0
      ? [
          own(
            'deepen',
            'Deepen',
            20,
            () =>
              `${shallow(work)} ${shallow(work) === 1 ? 'run is' : 'runs are'} too shallow: cut down to ${mm(work.card.layer.minMm)} at least.`,
          ),
        ]
      : []),
    gradeStep(work, 0, { text: 'Walls, not the top.' }),
    own(
      'dry',
      'Dry',
      10,
      () => 'Dry walls; a gas lance only where nothing burns near and the permit says so.',
    ),
    gate(work, {
      text: 'No rain in the forecast until it is tack-free.',
    }),
    ...mixSteps(work),
    ...(made(work).sandBaseL > 0 && !packed(work)
      ? [
          build(
            'bed',
            'Sand bed',
            5 + metres(work) * 0.8,
            () =>
              `Sand in, tapped down, to leave ${mm(work.site.workingDepthMm)}. Not less: under it it breaks up. More is money in the ground.`,
            {
              figures: ['sandBed'],
            },
          ),
        ]
      : []),
    build(
      'fill',
      packed(work) ? 'Pack it by hand' : isSealant(work) ? 'Gun it in' : 'Fill it',
      placeAll(work),
      () =>
        packed(work)
          ? 'By hand, pressed in so that it bridges and does not run down.'
          : isSealant(work)
            ? 'Over a backing rod, full to the walls, slightly hollow.'
            : 'Overfill. The blend of dark and light sand makes the colour: try it dry beside the yard first.',
      {
        people: 2,
        figures: ['resin', 'run'],
        wrong: [
          { sign: 'It runs away below', remedy: 'Stop: sand there, then go on.' },
          { sign: 'Dry sand in the mix', remedy: 'Back to the pail: paddle to the bottom.' },
        ],
      },
    ),
    ...(isSealant(work)
      ? []
      : [
          build(
            'strike',
            'Tamp and strike off',
            5 + metres(work),
            () => 'Tamp it down, strike off flush with a steel edge wiped with release.',
          ),
        ]),
    leave(work, 'No wheel, no rain on it.'),
    lookAndTap('Full to both walls and flush, every grain bound.', [
      { sign: 'Sand rubs off', remedy: 'Starved of resin: cut out, fill again.' },
      { sign: 'A wall lets go', remedy: 'Cut out there, clean to sound, fill again.' },
    ]),
    fingernail(work),
    inspect('open', 'Say when it opens', 2, () => {
      const [walk, drive] = [minutesTo(work, 'lightLoad'), minutesTo(work, 'fullLoad')];
      return `Walk on it ${walk === null ? 'by the card' : `after ${say(walk, 'time')}`}, drive ${drive === null ? 'by the card' : `after ${say(drive, 'time')}`}.`;
    }),
    tidy(work),
  ],
  needs: (work) => (packed(work) ? [] : sandNeed(made(work))),
  figures: (work) => crackFigures(work, made(work), work.survey.damages),
  removal: () => ['Cut both sides with a crack saw, lever it out in lengths; the sand stays.'],
  cautions: ['silica', 'traffic'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
