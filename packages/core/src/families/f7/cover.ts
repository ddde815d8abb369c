import { returnToService, lookAndTap } from '../../methods/accept';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { mixSteps, mixTouch } from '../../methods/mix';
import { line } from '../../calc/calc';
import { m, mm, type Message } from '../../message/message';
import { cleanTools, mainSpec } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { filmRound } from '../../methods/film';
import { degreaserNeed, dustOff, gradeStep } from '../../methods/prep';
import { notBefore, wrong } from '../../methods/step';
import { closing, figureOf, type Figure } from '../../work/figure';
import type { Draft } from '../../work/step';
import {
  step,
  LOOK_DAYS,
  SOAP_SHARE,
  margin,
  coversIn,
  total,
  inflate,
  type W,
  prepSteps,
} from './steps';

/** One drop of adhesive, ml; minutes to set a drop, and to press and roll its strip. */
const DROP_ML = 0.1;
const DROP_MIN = 0.04;
const ROLL_MIN = 0.8;
/** Bead that closes a crack, as a share of its vee. */
const CLOSE_SHARE = 1;

const stripsText = (work: W): Message =>
  m(
    '{n, plural, one {One strip} other {# strips}} of {width}{end, select, yes {, end to end} other {}}.',
    {
      n: total(work, (c) => c.strips),
      width: mm(coversIn(work)[0]?.stripWidthMm ?? 0),
      end: total(work, (c) => c.strips) > coversIn(work).length ? 'yes' : 'no',
    },
  );

export function coverDraft(work: W): Draft {
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
          ...closer,
          netMl: work.netMl * CLOSE_SHARE,
          areaMm2: 0,
          touches: [mixTouch(closer.card), { name: 'close', placing: 1 }],
          needed: null,
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
      ...prepSteps(work),
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
      ...returnToService(work, LOOK_DAYS[survey.intent]),
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
