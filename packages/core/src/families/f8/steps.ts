import { t } from '../../text/text';
import { m, mm } from '../../message/message';
import { hardness, lookAndTap } from '../../methods/accept';
import { isolate, protect, removeOld } from '../../methods/begin';
import { cleanTools, overcoat } from '../../methods/build';
import { isMortar, isSealant, rodStep, routeOf, sandStep } from '../../methods/crack';
import { leave } from '../../methods/cure';
import { beforeMixing } from '../../methods/gate';
import { mixSteps } from '../../methods/mix';
import { degrease, dustOff, gradeStep } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import type { Round } from '../../work/round';
import type { StepDraft } from '../../work/step';
import { isGunned, isScraped, type Rounds, type W } from './rounds';

export const stepIds = [
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

const metres = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.lengthMm, 0) / 1000;
const stepped = ({ survey }: W) => survey.damages.some((d) => d.shape === 'stepped');

function openUp(work: W): StepDraft[] {
  switch (routeOf(work)) {
    case 'break-out':
      return [
        step.prep('break-out', {
          does: 'abrade',
          title: t('Break out to full depth'),
          minutes: 20 + metres(work) * 20,
          text: m(
            'Break out the full depth, undercut the lower side{stepped, select, yes {; the sunk half must be borne from right under} other {}}. Both halves are to bear on it and be tied. Wet, and a P3 mask: the dust is silica.',
            { stepped: stepped(work) ? 'yes' : 'no' },
          ),
          sparks: work.survey.site.area === 'safe',
          figures: ['opened'],
        }),
      ];
    case 'run-in':
      return [];
    default:
      return [
        step.prep('chase', {
          does: 'abrade',
          title: t('Chase it'),
          minutes: 8 + metres(work) * 2,
          text: m(
            'Chase the crack to clean walls, {depth} deep. Wet, or with extraction, and a P3 mask: the dust is silica.',
            { depth: mm(work.buildMm) },
          ),
          sparks: work.survey.site.area === 'safe',
          figures: ['opened'],
        }),
      ];
  }
}

const mortarSteps = (work: W, rounds: readonly Round[]): StepDraft[] =>
  rounds.flatMap((round, i) => {
    const before = rounds[i - 1];
    return [
      step.prep('dampen', {
        does: 'dampen',
        title: t('Dampen'),
        minutes: 8,
        text: m(
          'Just before the mortar, wet the walls until they are saturated and the surface is dry: dark, no shine, no puddle.',
        ),
        round,
        after: before ? [overcoat(work, before)] : [],
      }),
      ...mixSteps(work, round, [
        {
          step: 'dampen',
          most: work.trade.concrete.dampMin,
          missed: 'dampen',
          why: m('Place the mortar before the damp surface dries.'),
        },
      ]),
      ...(i === 0
        ? [
            step.touch(round, 'scrub', {
              title: t('Scrub it in'),
              text: m(
                'A scrub coat of the same mortar, wet, brushed hard into the damp walls; the rest on it at once.',
              ),
            }),
          ]
        : []),
      step.touch(round, 'under', {
        title: t('Fill right under'),
        text: m(
          'Ram it under both halves from one side until it comes up at the other, {lift} a lift: no hollow is left.',
          { lift: mm(round.buildMm) },
        ),
        wrong: [wrong(t('A hollow sound'), t('Open it there while soft, ram again.'))],
      }),
      ...(i === rounds.length - 1
        ? [
            step.touch(round, 'strike', {
              title: t('Strike flush'),
              text: m(
                'Strike and float flush with both sides; feather a step into a gentle slope.',
              ),
            }),
          ]
        : []),
    ];
  });

function resinSteps(work: W, main: Round): StepDraft[] {
  const sinks = wrong(t('It keeps sinking'), t('It drains: stop, sand, go on when that has set.'));
  const figures = ['resin', 'run'];
  return [
    ...mixSteps(work, main),
    isGunned(work)
      ? step.touch(main, 'gun', {
          title: t('Gun it in'),
          text: isSealant(work)
            ? m('Gun held low, pushed along, full to the walls, {deep} deep over the rod.', {
                deep: mm(work.buildMm),
              })
            : m('The tip kept in the crack, pressure kept on, slow; go back over it as it sinks.'),
          people: 1,
          figures,
          wrong: [sinks],
        })
      : step.touch(main, 'pour', {
          title: t('Pour it in'),
          text: m(
            'Along the crack from a small bottle, again and again until it takes no more. Mix little: it goes hot in the bottle.{proud, select, yes { Leave it proud.} other {}}',
            { proud: isScraped(work) ? 'no' : 'yes' },
          ),
          people: 1,
          figures,
          wrong: [
            sinks,
            wrong(
              t('Bottle warm'),
              t('Put it outside to cool and throw it away. Mix less the next time.'),
            ),
          ],
        }),
    ...(isSealant(work)
      ? [
          step.touch(main, 'tool', {
            title: t('Tool it'),
            text: m(
              'Smooth the joint once with a wet spatula, slightly hollow. Pull the tape off at once.',
            ),
            people: 1,
          }),
        ]
      : []),
    ...(isScraped(work)
      ? [
          step.touch(main, 'scrape', {
            title: t('Scrape flush'),
            text: m(
              'A sharp scraper, flat, before it sets: what stands proud shows through the next coat.',
            ),
            people: 1,
          }),
        ]
      : []),
  ];
}

const prepSteps = ({ work, card, survey, rounds, last }: Rounds): StepDraft[] => [
  isolate(work, { minutes: 5, extra: m('Close the aisle, re-route people.') }),
  protect(work),
  ...removeOld(work),
  degrease(work),
  ...openUp(work),
  gradeStep(work, 20),
  dustOff(t('Vacuum, then blow out with oil-free air, along it, twice. Dust is a release agent.')),
  isMortar(work)
    ? step.prep('wash-out', {
        does: 'dry',
        title: t('Let it drain'),
        minutes: 5,
        text: m('Let all puddles drain away. No dust may be left.'),
      })
    : step.prep('dry', {
        does: 'dry',
        title: t('Is it dry'),
        minutes: 5,
        text: m(
          'Tape a film over it, look under it: no fog.{damp, select, yes { Damp is allowed by the card.} other {}}',
          { damp: card.damp === 'dry' ? 'no' : 'yes' },
        ),
      }),
  ...rodStep(work, survey.damages),
  ...sandStep(work),
  ...beforeMixing(work),
  ...(isMortar(work) ? mortarSteps(work, rounds) : resinSteps(work, last)),
];

const buildSteps = ({ last }: Rounds): StepDraft[] => [cleanTools(last)];

const acceptSteps = ({ work, last, grinds, ready }: Rounds): StepDraft[] => [
  leave(
    work,
    last,
    isMortar(work) ? m('Cover it with film. Keep draught and sun off it.') : m('Put barriers up.'),
  ),
  ...(grinds
    ? [
        step.during(last, 'grind', {
          at: 'handle',
          title: t('Grind flush'),
          minutes: 5 + metres(work) * 1.25,
          text: m(
            'Grind flush, with extraction and a mask. Cured resin is too shiny to coat: matt all over. Then vacuum and wipe the dust off.',
          ),
          sparks: true,
        }),
      ]
    : []),
  lookAndTap(
    ready,
    t(
      'Check that it fills the crack to both walls, is flush and has no pinholes. Drag a chain over it: the sound must be the same everywhere.',
    ),
    [
      wrong(t('Sunk'), t('Abrade it and fill again.')),
      wrong(
        t('A new hairline beside it'),
        t('It moves more than this stands: cut it out, a flexible joint.'),
      ),
    ],
  ),
  ...hardness(work),
  step.inspect('straight', {
    title: t('Straight edge'),
    minutes: 3,
    text: m('Across it, a metre long: {most} proud or hollow at most.', {
      most: mm(work.trade.joint.flushMm),
    }),
    hold: {
      kind: 'reading',
      label: m('Widest gap'),
      quantity: 'length',
      min: null,
      max: work.trade.joint.flushMm,
    },
  }),
];

/** All steps of the repair, in working order. */
export const steps = (made: Rounds): StepDraft[] => [
  ...prepSteps(made),
  ...buildSteps(made),
  ...acceptSteps(made),
];
