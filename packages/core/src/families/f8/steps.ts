import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
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
          says: sentences(
            `
              Break the crack out to its full depth: {depth}.
              Undercut the lower side, so that both sides rest on the mortar.
            `,
            { depth: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
          ),
          warns: sentences(
            `Wear a P3 mask, and work wet or with dust extraction. The dust holds silica.`,
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
          says: sentences(
            `
              Cut the crack open to clean walls.
              Depth: {depth}.
            `,
            { depth: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
          ),
          warns: sentences(
            `Wear a P3 mask, and work wet or with dust extraction. The dust holds silica.`,
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
        says: sentences(`
          Wet the walls just before you mix the mortar.
          Wait until they are dark and show no water.
        `),
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
              says: sentences(`
                Brush a thin coat of the wet mortar hard into the damp walls.
                Place the rest on it at once.
              `),
            }),
          ]
        : []),
      step.touch(round, 'under', {
        title: t('Fill right under'),
        says: sentences(
          `
            Ram the mortar in from one side until it comes up at the other.
            Depth of this layer: {lift}.
          `,
          { lift: perDamage(work.bodies.map((b) => mm(b.buildMm / rounds.length))) },
        ),
        wrong: [
          wrong(t('A hollow sound'), t('Open it there while it is soft. Ram the mortar in again.')),
        ],
      }),
      ...(i === rounds.length - 1
        ? [
            step.touch(round, 'strike', {
              title: t('Strike flush'),
              says: [
                sentences(`Strike the mortar off flush with both sides and float it.`),
                stepped(work) &&
                  sentences(`Float the step between the two sides to a gentle slope.`),
              ],
            }),
          ]
        : []),
    ];
  });

function resinSteps(work: W, main: Round): StepDraft[] {
  const sinks = wrong(
    t('It keeps sinking'),
    t('Stop. Fill the crack with sand below. Go on when the resin has set.'),
  );
  const figures = ['resin', 'run'];
  return [
    ...mixSteps(work, main),
    isGunned(work)
      ? step.touch(main, 'gun', {
          title: t('Gun it in'),
          says: isSealant(work)
            ? sentences(
                `
                  Hold the gun low and push it along the joint.
                  Fill to both walls. Depth over the rod: {deep}.
                `,
                { deep: perDamage(work.bodies.map((b) => mm(b.buildMm))) },
              )
            : sentences(`
              Keep the tip in the crack and move slowly.
              Go over the crack again where the filler sinks.
            `),
          people: 1,
          figures,
          wrong: [sinks],
        })
      : step.touch(main, 'pour', {
          title: t('Pour it in'),
          says: [
            sentences(`
              Pour the resin along the crack from a small bottle.
              Pour again until the crack takes no more.
            `),
            !isScraped(work) && sentences(`Leave the resin proud.`),
          ],
          people: 1,
          figures,
          wrong: [
            sinks,
            wrong(
              t('Bottle warm'),
              t('Put the bottle outside to cool and throw it away. Mix a smaller batch.'),
            ),
          ],
        }),
    ...(isSealant(work)
      ? [
          step.touch(main, 'tool', {
            title: t('Tool it'),
            says: sentences(`
              Smooth the joint once with a wet spatula, slightly hollow.
              Pull the tape off at once.
            `),
            people: 1,
          }),
        ]
      : []),
    ...(isScraped(work)
      ? [
          step.touch(main, 'scrape', {
            title: t('Scrape flush'),
            says: sentences(`Scrape the resin off flush with a sharp scraper before it sets.`),
            people: 1,
          }),
        ]
      : []),
  ];
}

const prepSteps = ({ work, card, survey, rounds, last }: Rounds): StepDraft[] => [
  isolate(work, {
    minutes: 5,
    extra: sentences(`Close the aisle and send people another way.`),
  }),
  protect(work),
  ...removeOld(work),
  degrease(work),
  ...openUp(work),
  gradeStep(work, 20),
  dustOff(
    sentences(`
      Vacuum the crack.
      Blow along it twice with oil-free air.
    `),
  ),
  isMortar(work)
    ? step.prep('wash-out', {
        does: 'dry',
        title: t('Let it drain'),
        minutes: 5,
        says: sentences(`
          Let the water drain until no puddle is left.
          Make sure that no dust is left.
        `),
      })
    : step.prep('dry', {
        does: 'dry',
        title: t('Is it dry'),
        minutes: 5,
        says: m(
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
    isMortar(work)
      ? sentences(`
        Cover the mortar with film.
        Keep draught and sun off it.
      `)
      : sentences(`Put barriers up.`),
  ),
  ...(grinds
    ? [
        step.during(last, 'grind', {
          at: 'handle',
          title: t('Grind flush'),
          minutes: 5 + metres(work) * 1.25,
          says: sentences(`
            Grind the resin flush.
            Make the whole surface matt.
            Vacuum the dust and wipe the surface.
          `),
          warns: sentences(
            `Wear a P3 mask, and work with dust extraction. The dust harms the lungs.`,
          ),
          sparks: true,
        }),
      ]
    : []),
  lookAndTap(
    ready,
    sentences(`
      Check that it fills the crack to both walls, is flush and has no pinholes.
      Tap along it with a hammer: the sound must be the same everywhere.
    `),
    [
      wrong(t('The filler has sunk'), t('Abrade it and fill it again.')),
      wrong(
        t('A new hairline beside it'),
        t('The crack moves too much for this filler. Cut it out and make a flexible joint.'),
      ),
    ],
  ),
  ...hardness(work),
  step.inspect('straight', {
    title: t('Straight edge'),
    minutes: 3,
    says: sentences(
      `
        Lay a straight edge of one metre across the repair.
        It may be {most} too high or too low at most.
      `,
      { most: mm(work.trade.joint.flushMm) },
    ),
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
