import { line } from '../../calc/calc';
import { m, ml, mm, type Message } from '../../message/message';
import {
  returnToService,
  hardness,
  lookAndTap,
  pressureFigures,
  pressureSteps,
} from '../../methods/accept';
import { cleanTools, coatRounds, coatSteps, mainSpec } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import {
  degrease,
  degreaserNeed,
  drillEnds,
  dustOff,
  gradeStep,
  wipe,
  wipeNeed,
} from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { layTape, rollMl, tapeMl, WRAP_FIGURES, WRAP_OFF, wrapFigures } from '../../methods/wrap';
import { figureOf } from '../../work/figure';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { PipeLeakSurvey } from './survey';

const stepIds = ['mark-leak', 'plug', 'press', 'film'] as const;
const step = stepsOf(stepIds);
type W = Work<PipeLeakSurvey>;

const LOOK_DAYS = { lasting: 90, stopgap: 7 };
/** Pressing and twisting until foaming stops, minutes. */
const PRESS_MIN = 6;
/** Clean water to soak a wrap in, ml. */
const SOAK_ML = 3000;

const isWrap = ({ wrap }: W) => wrap !== null;
/** A plug comes before the wrap, unless the wrap is to seal alone. */
const plugged = (work: W) => isWrap(work) && work.schools.plug !== 'wrap';
const extentOf = (work: W) =>
  isWrap(work) ? (work.demand.wrap?.extentMm ?? work.site.extentMm) : work.site.extentMm * 2;
const cracks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'crack').length;

export const method: Method<PipeLeakSurvey> = {
  stepIds,
  figureIds: [...WRAP_FIGURES, 'wrapFrom'],
  schools: ['plug', 'soak'],
  cautions: ['pressure'],
  nextLookDays: LOOK_DAYS,
  removal: (work) =>
    isWrap(work)
      ? WRAP_OFF
      : [
          m('Chisel the plug out; {extent} round it grind clean.', {
            extent: mm(work.site.extentMm),
          }),
        ],
  draft: (work) => {
    const { survey, demand, card } = work;
    const places = survey.damages.length;
    const second = plugged(work)
      ? work.second({ purpose: 'plug', wetted: true, longestMm: demand.longestMm, under: card })
      : null;
    const plug = second
      ? work.round(
          mainSpec(work, {
            id: 'plug',
            purpose: 'plug',
            title: m('Plug'),
            ...second,
            areaMm2: 0,
            touches: [mixTouch(second.card), { name: 'plug', placing: 1, spread: places }],
            needed: null,
          }),
        )
      : null;
    const wrap = isWrap(work)
      ? work.round(
          mainSpec(work, {
            id: 'main',
            purpose: 'wrap',
            title: m('Wrap'),
            netMl: tapeMl(work) / (1 + card.wastePct / 100),
            areaMm2: 0,
            pieces: work.wrap?.metres ?? 0,
            packIds: work.wrap?.packIds,
            mostMl: rollMl(work),
            touches: [mixTouch(card), { name: 'place', placing: 1 }],
            working: undefined,
          }),
        )
      : null;
    const main = wrap ? [wrap] : coatRounds(work);
    const last = main[main.length - 1] as NonNullable<typeof wrap>;
    const ready = [notBefore(last, demand.needed)];
    const extent = extentOf(work);
    const hands: Message = m('Put the time of each roll on the pipe.');
    return {
      rounds: [...(plug ? [plug] : []), ...main],
      steps: [
        isolate(work, { extra: m('Shut both ways, drain below the leak, vent.') }),
        step.prep(
          'mark-leak',
          'look',
          'Mark the leak',
          5,
          m(
            'Circle it; draw where the wrap begins and ends, {extent} past it both ways. Photograph it with a rule beside it.',
            { extent: mm(extent) },
          ),
          {
            hold: { kind: 'photo', label: m('The leak, marked, with a rule') },
            figures: ['wrapFrom'],
          },
        ),
        protect(work),
        ...removeOld(work),
        degrease(work),
        ...(cracks(work) > 0 ? [drillEnds(cracks(work), survey.site.area === 'safe')] : []),
        gradeStep(work, extent, { extra: m('All round the pipe.') }),
        dustOff(),
        step.prep(
          'dry',
          'dry',
          'Dry it',
          10,
          card.damp === 'dry'
            ? m('Dry all round; no drop comes from the hole.')
            : m('It may be {how}; no stream comes from the hole.', {
                how: card.damp === 'damp' ? 'damp' : 'wet',
              }),
        ),
        wipe(work),
        ...beforeMixing(work),
        ...(plug
          ? [
              ...mixSteps(work, plug),
              step.touch(
                plug,
                'plug',
                'Plug it',
                m(
                  'Cut {amount} in all, knead to one colour, press hard into {n, plural, one {the hole} other {each of the # holes}}, feather the edges.',
                  { amount: ml(plug.mixMl), n: places },
                ),
                {
                  people: 1,
                  figures: ['round.plug.total'],
                  wrong: [
                    wrong(
                      'Even plugged it seeps',
                      'Go on: tight plies are the second line. Running: stop, drain further.',
                    ),
                  ],
                },
              ),
              waitFor(
                plug,
                'tackFree',
                'Is the plug tack-free',
                m('A clean glove comes away clean. Only then is the first pouch opened.'),
              ),
            ]
          : []),
        ...(wrap
          ? [
              ...mixSteps(work, wrap),
              layTape(work, wrap, m('Wrap it'), hands),
              step.build(
                wrap,
                'press',
                'place',
                'Press and twist',
                PRESS_MIN * places,
                m(
                  'Wet gloves. Press and twist along the lay, round and round, until the foam stops and it is no longer tacky.',
                ),
                { people: 2, wrong: [wrong('It lifts', 'Hold it down to the set.')] },
              ),
              step.build(
                wrap,
                'film',
                'form',
                'Over-wrap',
                4 * places,
                m(
                  'Elastic film over it, tight, pricked with a pin: it presses the plies and lets the gas out.',
                ),
                { uses: ['film'] },
              ),
            ]
          : coatSteps(work, main, {
              first: m(
                'Press it hard into the hole so that it keys behind, spread it past the edge,',
              ),
              last: m('Feather the edge with a wet finger.'),
              people: 1,
            })),
        cleanTools(last),
        leave(work, last, m('No pressure on it.')),
        lookAndTap(ready, 'One colour, no dry cloth, no lifted edge. Tap round it: one sound.', [
          wrong('Lifted edge', 'Grind it back to where it holds, wrap over.'),
          wrong('Soft when tapped', 'It foamed too much or set in water: take it off.'),
        ]),
        ...hardness(work),
        ...pressureSteps(work, ready),
        step.inspect(
          'tag',
          'Tag it',
          3,
          m('A tag on the pipe: what, when, who, and when it is looked at again.'),
          { does: 'tidy' },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the pipe round the leak')),
        wipeNeed(work, m('the prepared pipe')),
        ...(wrap
          ? [
              {
                kind: 'plain' as const,
                id: 'film',
                name: 'Elastic film',
                for: m('over-wrap'),
                amount: places,
                quantity: 'count' as const,
              },
              {
                kind: 'plain' as const,
                id: 'water',
                name: 'Clean water, 20 °C',
                for: m('soaking'),
                amount: SOAK_ML,
                quantity: 'volume' as const,
              },
            ]
          : []),
        ...heldNeeds(work),
      ],
      figures: () => [
        ...wrapFigures(work),
        ...pressureFigures(work),
        figureOf('wrapFrom', 'Prepared past the leak', extent, 'length', [
          line(
            'x',
            'prepared past the leak, each way',
            wrap ? 'low-pressure wrap' : 'plug',
            extent,
            'mm',
          ),
        ]),
      ],
    };
  },
};
