import { line } from '../calc/calc';
import { closing, figureOf } from '../plan/figure';
import { aidCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { inspect, lookAndTap, tidy } from './parts/accept';
import { build, coverIn, placeAll } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { flashMinutes } from './parts/pace';
import { approval, degrease, gate, gradeStep, isolate, mm, own, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F7'>>;

const margin = ({ card, site }: Work) => card.sheet?.marginMm ?? site.extentMm;
const section = ({ card }: Work) => card.permission === 'tyre-shop';
const deepest = ({ survey }: Work) => Math.max(...survey.damages.map((d) => d.depthMm));

const prep = (work: Work) => [
  isolate(work, {
    minutes: 20,
    text: work.survey.tyre.airtight
      ? 'Wheel off load, chocked. Pressure down to half.'
      : 'Wheel off load, chocked. Core out: fully deflated before anything.',
  }),
  own(
    'cords',
    'Look for cords',
    10,
    () =>
      `Open the crack with a blunt tool, ${mm(deepest(work))} and deeper: cord showing or cut stops the job. Photograph it with a rule.`,
    {
      hold: { kind: 'photo', label: 'The injury, opened' },
      wrong: [
        {
          sign: 'Cord shows',
          remedy: 'Stop. Print the referral sheet; a licensed tyre shop decides.',
        },
      ],
    },
  ),
  ...removeOld(work),
  degrease(work),
];

/** What a licensed shop does: Kelmot measures the opening and says the size of the patch. */
const sectionSteps = (work: Work) => [
  approval('shop', 'tyre-shop', 'A section repair is the licensed shop’s work, to its own table.'),
  ...prep(work),
  own(
    'open',
    'Open up',
    45,
    () => 'Expose and remove every damaged cord; the opening is what is measured, not the cut.',
    {
      hold: { kind: 'reading', label: 'Longest opening', quantity: 'length', min: 1, max: null },
      figures: ['opening'],
    },
  ),
  gradeStep(work, margin(work), { text: 'Inside, larger than the patch.' }),
  gate(work),
  ...mixSteps(work),
  build(
    'patch',
    'Cement, patch, stitch',
    40 + placeAll(work),
    () =>
      'Reinforced patch by opening and position, arrows to the bead. Stitch from the centre, no air.',
  ),
  build(
    'fill',
    'Fill outside',
    20,
    () => 'Uncured rubber into the opening, stitched in layers, proud.',
  ),
  during(
    'heat',
    'tackFree',
    'Heat cure',
    60,
    () => 'Heat pads and air bags, by the shop’s clock. Cool under pressure.',
  ),
  leave(work),
  inspect(
    'contour',
    'Buff to the contour',
    15,
    () => 'No step; no air under the patch by tapping.',
  ),
];

const coverSteps = (work: Work) => [
  ...prep(work),
  gradeStep(work, margin(work), { text: 'Flat and matt; keep clear of lettering and ribs.' }),
  own(
    'trace',
    'Trace the place',
    5,
    () => {
      const c = coverIn(work);
      return `${c ? `${c.strips} ${c.strips === 1 ? 'strip' : 'strips'} of ${say(c.stripWidthMm, 'length')}, end to end. ` : ''}Lay the patch dry, ${mm(margin(work))} past the crack all round, draw round it.`;
    },
    { figures: ['strips', 'stripWidth', 'marginGot'] },
  ),
  own(
    'condition',
    'Condition',
    5,
    () => `${aidCode(work, 'conditioner')} thin on the buffed rubber; touch-dry.`,
    {
      hold: {
        kind: 'countdown',
        label: 'Flashing off',
        minutes: flashMinutes(work, 'conditioner'),
      },
    },
  ),
  gate(work),
  ...mixSteps(work),
  ...(work.survey.tyre.airtight
    ? []
    : [
        build(
          'close',
          'Close the crack',
          10,
          () =>
            'Deflated: adhesive into the crack, pressed shut, held to its set, before it is covered.',
        ),
      ]),
  build(
    'drops',
    'Drops',
    6,
    () =>
      `${coverIn(work)?.drops ?? 0} drops on the tyre inside the line, one by one, never smeared.`,
    {
      figures: ['drops'],
      wrong: [
        {
          sign: 'Smeared',
          remedy: 'Wipe it off, buff, begin again: a smear skins before it is pressed.',
        },
      ],
    },
  ),
  build(
    'roll',
    'Roll it down',
    10 + placeAll(work),
    () =>
      'From one end, a hand’s breadth at a time: press, roll, hold to its set, go on. Corners last and longest.',
    {
      wrong: [{ sign: 'A corner lifts', remedy: 'One drop under it, hold.' }],
    },
  ),
  leave(work, 'An accelerator only where the card allows one.'),
  during(
    'bevel',
    'handle',
    'Bevel the edge',
    8,
    () => 'Grind the edge to a slope all round, so that it does not scrub.',
  ),
  lookAndTap('All edges down, bevelled; a thin blade goes under nowhere.', [
    { sign: 'A blade goes under', remedy: 'Peel to where it holds, buff, drop, hold.' },
  ]),
  ...(work.survey.tyre.airtight
    ? []
    : [
        inspect(
          'air',
          'Air-tight corners',
          10,
          () =>
            'In a cage, nobody in line: to a third of service pressure, soap on all four corners. No bubble.',
          {
            wrong: [
              {
                sign: 'Bubbles',
                remedy: 'Deflate, core out, off with it. A licensed shop decides.',
              },
            ],
          },
        ),
      ]),
];

export const tyreMethod = defineMethod({
  family: 'F7',
  steps: (work: Work) => [
    ...(section(work) ? sectionSteps(work) : coverSteps(work)),
    inspect(
      'inflate',
      'Inflate in the cage',
      15,
      () =>
        'In the cage, remote hose, never in line with the tyre. In steps to service pressure, watch the sidewall.',
      {
        wrong: [{ sign: 'A bulge', remedy: 'Stop at once, deflate by remote, scrap the tyre.' }],
      },
    ),
    tidy(work),
  ],
  needs: (work) => [
    { kind: 'aid', use: 'degreaser', for: 'the sidewall', areaMm2: work.demand.prepMm2 },
    { kind: 'aid', use: 'conditioner', for: 'the buffed rubber', areaMm2: work.demand.prepMm2 },
  ],
  figures: (work) => {
    const c = coverIn(work);
    const paths = work.bodies.flatMap((b) => b.body.paths);
    const longest = Math.max(...work.survey.damages.map((d) => d.lengthMm));
    if (!c)
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
          paths,
        ),
      ];
    const end = closing(c.working);
    return [
      figureOf('strips', 'Strips', c.strips, 'count', end('n', 'strips', c.strips), paths),
      figureOf(
        'stripWidth',
        'Strip width',
        c.stripWidthMm,
        'length',
        end('w', 'strip width', c.stripWidthMm, 'mm'),
        paths,
      ),
      figureOf(
        'marginGot',
        'Margin',
        c.marginGotMm,
        'length',
        end('m', 'margin', c.marginGotMm, 'mm'),
        paths,
      ),
      figureOf('drops', 'Drops', c.drops, 'count', end('d', 'drops', c.drops), paths),
    ];
  },
  removal: () => ['Buff the cover off to the sidewall’s own rubber; heat softens the edge.'],
  cautions: ['tyre', 'rubber-dust'],
  nextLookDays: { lasting: 30, stopgap: 3 },
});
