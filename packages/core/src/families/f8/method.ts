import { m, mm } from '../../message/message';
import { returnToService, hardness, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec, overfill, overcoat, isStruckFlush } from '../../methods/build';
import {
  CRACK_FIGURES,
  crackFigures,
  crackNeeds,
  isMortar,
  isSealant,
  rodStep,
  routeOf,
  sandStep,
} from '../../methods/crack';
import { leave } from '../../methods/cure';
import { aggregateFor, aggregateG, mixSteps, mixTouch, waterMl } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { degrease, degreaserNeed, dustOff, gradeStep } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import type { Round } from '../../work/round';
import type { StepDraft } from '../../work/step';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { FloorCrackSurvey } from './survey';

const stepIds = [
  'break-out',
  'chase',
  'blow',
  'wash-out',
  'scrub',
  'under',
  'strike',
  'gun',
  'tool',
  'pour',
  'scrape',
] as const;
const step = stepsOf(stepIds);
type W = Work<FloorCrackSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Allowed deviation under a metre's straight edge, mm. */
const FLUSH_MM = 1;
/** Shares of the placing time: scrubbing in, ramming under, striking off. */
const MORTAR = { scrub: 0.1, under: 0.5, strike: 0.4 };
/** Extra share for a film that is struck off while soft. */
const SCRAPE_SHARE = 0.2;
/** Dampened concrete is covered within this time, before it dries, minutes. */
const DAMP_MIN = 30;

const metres = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.lengthMm, 0) / 1000;
const stepped = ({ survey }: W) => survey.damages.some((d) => d.shape === 'stepped');

function openUp(work: W): StepDraft[] {
  switch (routeOf(work)) {
    case 'break-out':
      return [
        step.prep(
          'break-out',
          'abrade',
          'Break out to full depth',
          20 + metres(work) * 20,
          m(
            'Break out the full depth, undercut the lower side{stepped, select, yes {; the sunk half must be borne from right under} other {}}. Both halves are to bear on it and be tied. Wet, and a P3 mask: the dust is silica.',
            { stepped: stepped(work) ? 'yes' : 'no' },
          ),
          { sparks: work.survey.site.area === 'safe', figures: ['opened'] },
        ),
      ];
    case 'run-in':
      return [];
    default:
      return [
        step.prep(
          'chase',
          'abrade',
          'Chase it',
          8 + metres(work) * 2,
          m(
            'Chase the crack to clean walls, {depth} deep. Wet, or with extraction, and a P3 mask: the dust is silica.',
            { depth: mm(work.buildMm) },
          ),
          { sparks: work.survey.site.area === 'safe', figures: ['opened'] },
        ),
      ];
  }
}

function mortar(work: W): { rounds: Round[]; steps: StepDraft[] } {
  const { card, coats } = work;
  const rounds = Array.from({ length: coats }, (_, i) =>
    work.round(
      mainSpec(work, {
        id: coats === 1 ? 'main' : `lift-${i + 1}`,
        purpose: 'fill',
        title: coats === 1 ? m('Mortar') : m('Lift {n} of {coats}', { n: i + 1, coats }),
        netMl: work.netMl / coats,
        areaMm2: 0,
        buildMm: work.coatMm,
        aggregatePct: aggregateFor(card, work.buildMm),
        touches: [
          mixTouch(card),
          ...(i === 0 ? [{ name: 'scrub', placing: MORTAR.scrub }] : []),
          { name: 'under', placing: MORTAR.under },
          ...(i === coats - 1 ? [{ name: 'strike', placing: MORTAR.strike }] : []),
        ],
        needed: i === coats - 1 ? work.demand.needed : null,
      }),
    ),
  );
  const steps = rounds.flatMap((round, i) => {
    const before = rounds[i - 1];
    return [
      step.prep(
        'dampen',
        'dampen',
        'Dampen',
        8,
        m('To saturated, surface dry: dark, no shine, no puddle. Just before the mortar.'),
        {
          round,
          after: before ? [overcoat(work, before)] : [],
        },
      ),
      ...mixSteps(work, round, [
        {
          step: 'dampen',
          most: DAMP_MIN,
          missed: 'dampen',
          why: m('Placed before the damp dries off.'),
        },
      ]),
      ...(i === 0
        ? [
            step.touch(
              round,
              'scrub',
              'Scrub it in',
              m(
                'A scrub coat of the same mortar, wet, brushed hard into the damp walls; the rest on it at once.',
              ),
            ),
          ]
        : []),
      step.touch(
        round,
        'under',
        'Fill right under',
        m(
          'Ram it under both halves from one side until it comes up at the other, {lift} a lift: no hollow is left.',
          { lift: mm(round.buildMm) },
        ),
        {
          wrong: [wrong('A hollow sound', 'Open it there while soft, ram again.')],
        },
      ),
      ...(i === rounds.length - 1
        ? [
            step.touch(
              round,
              'strike',
              'Strike flush',
              m('Strike and float flush with both sides; feather a step into a gentle slope.'),
            ),
          ]
        : []),
    ];
  });
  return { rounds, steps };
}

function resin(work: W): { rounds: Round[]; steps: StepDraft[] } {
  const { card } = work;
  const soft = isStruckFlush(work) && !isSealant(work);
  const gun = card.mix.kind === 'cartridge' || isSealant(work);
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: isSealant(work) ? m('Bead') : m('Resin'),
      areaMm2: 0,
      overfillPct: isSealant(work) ? 0 : overfill(work),
      touches: [
        mixTouch(card),
        { name: gun ? 'gun' : 'pour', placing: 1 },
        ...(isSealant(work) ? [{ name: 'tool', placing: SCRAPE_SHARE }] : []),
        ...(soft ? [{ name: 'scrape', placing: SCRAPE_SHARE }] : []),
      ],
    }),
  );
  const sinks = wrong('It keeps sinking', 'It drains: stop, sand, go on when that has set.');
  const figures = ['resin', 'run'];
  return {
    rounds: [main],
    steps: [
      ...mixSteps(work, main),
      gun
        ? step.touch(
            main,
            'gun',
            'Gun it in',
            isSealant(work)
              ? m('Gun held low, pushed along, full to the walls, {deep} deep over the rod.', {
                  deep: mm(work.buildMm),
                })
              : m(
                  'The tip kept in the crack, pressure kept on, slow; go back over it as it sinks.',
                ),
            { people: 1, figures, wrong: [sinks] },
          )
        : step.touch(
            main,
            'pour',
            'Pour it in',
            m(
              'Along the crack from a small bottle, again and again until it takes no more. Mix little: it goes hot in the bottle.{proud, select, yes { Leave it proud.} other {}}',
              { proud: soft ? 'no' : 'yes' },
            ),
            {
              people: 1,
              figures,
              wrong: [sinks, wrong('Bottle warm', 'Bin it outside; mix less.')],
            },
          ),
      ...(isSealant(work)
        ? [
            step.touch(
              main,
              'tool',
              'Tool it',
              m('A wet spatula, once, slightly hollow. Pull the tape at once.'),
              { people: 1 },
            ),
          ]
        : []),
      ...(soft
        ? [
            step.touch(
              main,
              'scrape',
              'Scrape flush',
              m(
                'A sharp scraper, flat, before it sets: what stands proud shows through the next coat.',
              ),
              { people: 1 },
            ),
          ]
        : []),
    ],
  };
}

export const method: Method<FloorCrackSurvey> = {
  stepIds,
  figureIds: CRACK_FIGURES,
  schools: ['proud', 'sand', 'moving'],
  cautions: ['silica'],
  nextLookDays: LOOK_DAYS,
  removal: (work) => [
    isSealant(work)
      ? m('Cut both sides, pull the bead out whole.')
      : m('Chase it out with a crack blade; {deep} deep.', { deep: mm(work.buildMm) }),
  ],
  draft: (work) => {
    const { survey, demand, card } = work;
    const made = isMortar(work) ? mortar(work) : resin(work);
    const last = made.rounds[made.rounds.length - 1] as Round;
    const ready = [notBefore(last, demand.needed)];
    const grinds = !isStruckFlush(work) && !isMortar(work) && !isSealant(work);
    const stone = made.rounds.reduce((s, r) => s + aggregateG(r), 0);
    return {
      rounds: made.rounds,
      steps: [
        isolate(work, { minutes: 5, extra: m('Close the aisle, re-route people.') }),
        protect(work),
        ...removeOld(work),
        degrease(work),
        ...openUp(work),
        gradeStep(work, 20),
        dustOff(
          'Vacuum, then blow out with oil-free air, along it, twice. Dust is a release agent.',
        ),
        isMortar(work)
          ? step.prep('wash-out', 'dry', 'Let it drain', 5, m('No puddle left, no dust.'))
          : step.prep(
              'dry',
              'dry',
              'Is it dry',
              5,
              m(
                'Tape a film over it, look under it: no fog.{damp, select, yes { Damp is allowed by the card.} other {}}',
                { damp: card.damp === 'dry' ? 'no' : 'yes' },
              ),
            ),
        ...rodStep(work, survey.damages),
        ...sandStep(work),
        ...beforeMixing(work),
        ...made.steps,
        cleanTools(last),
        leave(
          work,
          last,
          isMortar(work) ? m('Film over it; no draught, no sun.') : m('Barriers up.'),
        ),
        ...(grinds
          ? [
              step.during(
                last,
                'grind',
                'handle',
                'Grind flush',
                5 + metres(work) * 1.25,
                m(
                  'Grind flush, with extraction and a mask. Cured resin is too shiny to coat: matt all over. Then vacuum and wipe the dust off.',
                ),
                {
                  sparks: true,
                },
              ),
            ]
          : []),
        lookAndTap(
          ready,
          'Full to both walls, flush, no pinholes. Drag a chain over it: one sound.',
          [
            wrong('Sunk', 'Abrade, fill again.'),
            wrong(
              'A new hairline beside it',
              'It moves more than this stands: cut it out, a flexible joint.',
            ),
          ],
        ),
        ...hardness(work),
        step.inspect(
          'straight',
          'Straight edge',
          3,
          m('Across it, a metre long: {most} proud or hollow at most.', { most: mm(FLUSH_MM) }),
          {
            hold: {
              kind: 'reading',
              label: m('Widest gap'),
              quantity: 'length',
              min: null,
              max: FLUSH_MM,
            },
          },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the band along the crack')),
        ...crackNeeds(work, survey.damages),
        ...(isMortar(work)
          ? [
              {
                kind: 'plain' as const,
                id: 'water',
                name: 'Clean water',
                for: m('mixing'),
                amount: waterMl(made.rounds),
                quantity: 'volume' as const,
              },
            ]
          : []),
        ...(stone > 0
          ? [
              {
                kind: 'plain' as const,
                id: 'aggregate',
                name: 'Clean dry aggregate',
                for: m('extending the deep fill'),
                amount: stone,
                quantity: 'mass' as const,
              },
            ]
          : []),
        ...heldNeeds(work),
      ],
      figures: () => crackFigures(work, survey.damages),
    };
  },
};
