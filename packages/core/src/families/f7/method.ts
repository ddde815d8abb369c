import { line } from '../../calc/calc';
import { m, mm, type Message } from '../../message/message';
import { handBack, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { filmRound } from '../../methods/film';
import { mixSteps, mixTouch } from '../../methods/mix';
import {
  approval,
  beforeMixing,
  degrease,
  degreaserNeed,
  dustOff,
  gradeStep,
  heldNeeds,
  isolate,
  protect,
  removeOld,
} from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { closing, figureOf, type Figure } from '../../work/figure';
import type { Draft, StepDraft } from '../../work/step';
import type { Work } from '../../work/work';
import type { Method } from '../family';
import type { TyreSurvey } from './survey';

const stepIds = [
  'core-out',
  'cords',
  'cut-strips',
  'trace',
  'condition',
  'close',
  'drops',
  'roll',
  'bevel',
  'air',
  'open',
  'patch',
  'fill-out',
  'heat-cure',
  'contour',
  'inflate',
] as const;
const step = stepsOf(stepIds);
type W = Work<TyreSurvey>;

const LOOK_DAYS = { lasting: 30, stopgap: 3 };
/** One drop of adhesive, ml; set by itself, and its strip pressed and rolled, minutes. */
const DROP_ML = 0.1;
const DROP_MIN = 0.04;
const ROLL_MIN = 0.8;
/** Bead that closes a crack, as a share of its vee. */
const CLOSE_SHARE = 1;
/** Share of service pressure at which corners are soaped. */
const SOAP_SHARE = 'a third';

const section = ({ card }: W) => card.permission === 'tyre-shop';
const margin = ({ card, site }: W) => card.sheet?.marginMm ?? site.extentMm;
const deepest = ({ survey }: W) => Math.max(...survey.damages.map((d) => d.depthMm));
const coversIn = ({ covers }: W) => (covers?.ok ? covers.covers : []);
const total = (work: W, of: (c: ReturnType<typeof coversIn>[number]) => number) =>
  coversIn(work).reduce((s, c) => s + of(c), 0);

const prep = (work: W): StepDraft[] => [
  isolate(work, { extra: m('Wheel off load, chocked, before anybody touches the tyre.') }),
  step.prep(
    'core-out',
    'safe',
    'Core out',
    10,
    m(
      'Core out: fully deflated before anything is done to it, whether it holds its air or not. Put a wire through the stem.',
    ),
  ),
  step.prep(
    'cords',
    'look',
    'Look for cords',
    10,
    m(
      'Open each crack with a blunt tool, {deep} and deeper: cord showing or cut stops the job. Photograph it with a rule.',
      { deep: mm(deepest(work)) },
    ),
    {
      hold: { kind: 'photo', label: m('The injury, opened, with a rule') },
      wrong: [wrong('Cord shows', 'Stop. Print the referral sheet; a licensed tyre shop decides.')],
    },
  ),
  protect(),
  ...removeOld(work),
  degrease(work),
];

const inflate = (): StepDraft =>
  step.inspect(
    'inflate',
    'Inflate in the cage',
    15,
    m(
      'In the cage, remote hose, never in line with the tyre. In steps to service pressure, watch the sidewall.',
    ),
    {
      wrong: [wrong('A bulge', 'Stop at once, deflate by remote, scrap the tyre.')],
    },
  );

/** What a licensed shop does: Kelmot measures the opening and says the size of the patch. */
function sectionDraft(work: W): Draft {
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
      ...prep(work),
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
      ...handBack(work, LOOK_DAYS[survey.intent]),
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

const stripsText = (work: W): Message =>
  m(
    '{n, plural, one {One strip} other {# strips}} of {width}{end, select, yes {, end to end} other {}}.',
    {
      n: total(work, (c) => c.strips),
      width: mm(coversIn(work)[0]?.stripWidthMm ?? 0),
      end: total(work, (c) => c.strips) > coversIn(work).length ? 'yes' : 'no',
    },
  );

function coverDraft(work: W): Draft {
  const { survey, demand, card } = work;
  const strips = Math.max(
    1,
    total(work, (c) => c.strips),
  );
  const drops = total(work, (c) => c.drops);
  const airtight = survey.tyre.airtight;
  const conditioner = filmRound(work, {
    id: 'conditioner',
    purpose: 'conditioner',
    title: m('Conditioner'),
    areaMm2: demand.prepMm2,
    touch: 'condition',
    need: { under: card },
  });
  const closer = airtight ? null : work.second({ purpose: 'close', wetted: false, under: card });
  const close = closer
    ? work.round(
        mainSpec(work, {
          id: 'close',
          purpose: 'close',
          title: m('Closing the crack'),
          card: closer.card,
          netMl: work.netMl * CLOSE_SHARE,
          areaMm2: 0,
          touches: [mixTouch(closer.card), { name: 'close', placing: 1 }],
          needed: null,
          problem: closer.problem,
          because: closer.because,
        }),
      )
    : null;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'cover',
      title: m('Cover'),
      netMl: (drops * DROP_ML) / (1 + card.wastePct / 100),
      areaMm2: 0,
      pieces: total(work, (c) => c.sheets),
      mostMl: (drops * DROP_ML) / strips,
      working: () => [line('d', 'drops', 'over all strips', drops)],
      touches: [
        mixTouch(card),
        { name: 'drops', spread: drops * DROP_MIN },
        { name: 'roll', spread: strips * ROLL_MIN },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return {
    rounds: [conditioner, ...(close ? [close] : []), main],
    steps: [
      ...prep(work),
      gradeStep(work, margin(work), {
        extra: m('Flat and matt, low speed; keep clear of lettering and ribs.'),
      }),
      dustOff('Brush the dust off dry. No hand on it from here.'),
      step.prep('cut-strips', 'ready', 'Cut the strips', 5 + strips * 2, stripsText(work), {
        figures: ['strips', 'stripWidth'],
      }),
      step.prep(
        'trace',
        'mask',
        'Trace the place',
        5,
        m('Lay the patch dry, {margin} past the crack all round, draw round it.', {
          margin: mm(coversIn(work)[0]?.marginGotMm ?? 0),
        }),
        {
          figures: ['marginGot'],
        },
      ),
      ...beforeMixing(work),
      ...(close
        ? [
            ...mixSteps(work, close),
            step.touch(
              close,
              'close',
              'Close the crack',
              m('{card} into the crack, pressed shut and held to its set, before it is covered.', {
                card: close.card.code,
              }),
              { figures: ['round.close.total'] },
            ),
            waitFor(
              close,
              'handle',
              'Is it shut',
              m('Flexed by hand it stays shut. Buff what stands proud, brush the dust off.'),
            ),
          ]
        : []),
      ...mixSteps(work, conditioner),
      step.touch(
        conditioner,
        'condition',
        'Condition',
        m('{card} thin on the buffed rubber, inside the line; touch-dry.', {
          card: conditioner.card.code,
        }),
        {
          people: 1,
          figures: ['round.conditioner.total', 'cure.conditioner.tackFree'],
        },
      ),
      ...mixSteps(work, main, [
        {
          round: conditioner.id,
          at: 'tackFree',
          until: 'overcoatCloses',
          missed: 'condition',
          why: m('Conditioner: flashed off, and still open.'),
        },
      ]),
      step.touch(
        main,
        'drops',
        'Drops',
        m(
          '{drops} drops in all on the tyre inside the line, one by one, never smeared: one strip’s at a time.',
          { drops },
        ),
        {
          people: 1,
          figures: ['drops'],
          wrong: [
            wrong('Smeared', 'Wipe it off, buff, begin again: a smear skins before it is pressed.'),
          ],
        },
      ),
      step.touch(
        main,
        'roll',
        'Lay and roll down',
        m(
          'From one end, a hand’s breadth at a time: press, roll, hold bit by bit to its set, go on. Corners last and longest.',
        ),
        {
          people: 1,
          wrong: [wrong('A corner lifts', 'One drop under it, hold.')],
        },
      ),
      cleanTools(main),
      leave(work, main, m('An accelerator only where the card allows one.')),
      step.during(
        main,
        'bevel',
        'handle',
        'Bevel the edge',
        8,
        m('Grind the edge to a slope all round, so that it does not scrub. Dust off.'),
      ),
      lookAndTap(ready, 'All edges and corners down, bevelled; a thin blade goes under nowhere.', [
        wrong('A blade goes under', 'Peel to where it holds, buff, drop, hold.'),
      ]),
      ...(airtight
        ? []
        : [
            step.inspect(
              'air',
              'Air-tight corners',
              10,
              m(
                'In a cage, nobody in line: to {share} of service pressure, soap on all four corners. No bubble.',
                { share: SOAP_SHARE },
              ),
              {
                wrong: [
                  wrong('Bubbles', 'Deflate, core out, off with it. A licensed shop decides.'),
                ],
              },
            ),
          ]),
      inflate(),
      ...handBack(work, LOOK_DAYS[survey.intent]),
    ],
    needs: [degreaserNeed(work, m('the sidewall')), ...heldNeeds(work)],
    figures: (): Figure[] => {
      const paths = work.bodies.flatMap((b) => b.body.paths);
      const end = closing(coversIn(work).flatMap((c) => c.working));
      const first = coversIn(work)[0];
      return [
        figureOf('strips', 'Strips', strips, 'count', end('n', 'strips', strips), paths),
        figureOf(
          'stripWidth',
          'Strip width',
          first?.stripWidthMm ?? 0,
          'length',
          end('w', 'strip width', first?.stripWidthMm ?? 0, 'mm'),
          paths,
        ),
        figureOf(
          'marginGot',
          'Margin',
          first?.marginGotMm ?? 0,
          'length',
          end('m', 'margin', first?.marginGotMm ?? 0, 'mm'),
          paths,
        ),
        figureOf('drops', 'Drops', drops, 'count', end('d', 'drops', drops), paths),
      ];
    },
  };
}

export const method: Method<TyreSurvey> = {
  stepIds,
  figureIds: ['strips', 'stripWidth', 'marginGot', 'drops', 'opening'],
  schools: ['tyre'],
  cautions: ['tyre', 'rubber-dust'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Buff the cover off to the sidewall’s own rubber; heat softens the edge.')],
  draft: (work) => (section(work) ? sectionDraft(work) : coverDraft(work)),
};
