import { sentences } from '../message/sentences';
import { t } from '../text/text';
import {
  GRADE_NAMES,
  prepKindOf,
  TOOL_NAMES,
  TOOL_REACH,
  type PrepKind,
  type Tool,
} from '../materials/substrates';
import type { Says } from '../message/sentences';
import { m, mm, q, type Message } from '../message/message';
import type { StepDraft } from '../work/step';
import { aidName } from '../work/aids';
import type { Need } from '../work/supplies';
import { toolUsed, type Work } from '../work/work';
import { flashMinutes, gradeMinutes, wipeMinutes } from './pace';
import { inZone, NO_SPARK, prep, type Extra } from './prepStep';
import { wrong } from './step';

/** Cleaning and preparation steps that families share. A family adds its own text by `extra`. */

/** Removes grease before anything is abraded. */
export const degrease = (work: Work, more?: Extra): StepDraft =>
  prep('degrease', {
    does: 'wet',
    title: t('Degrease'),
    minutes: wipeMinutes(work),
    says: () =>
      sentences(
        `
          Put on new gloves.
          Wipe with {aid} from the clean side to the dirty side, well past the damage.
          Rinse with clean water.
          Let the surface dry.
        `,
        { aid: aidName(work, 'degreaser') },
      ),
    extra: {
      wrong: [wrong(t('Water forms drops on the surface'), t('Degrease again with fresh rags.'))],
      uses: ['degreaser'],
      figures: ['supply.degreaser'],
      ...more,
    },
  });
export const degreaserNeed = (work: Work, what: Message): Need => ({
  kind: 'aid',
  use: 'degreaser',
  for: what,
  areaMm2: work.demand.prepMm2,
});

/** Dust of concrete harms the lungs. */
const SILICA = sentences(
  `Wear a P3 mask, and work wet or with dust extraction. The dust holds silica.`,
);

/** What a tool is on each kind of surface: nobody blasts rubber, or grinds a film to bare metal. */
const PREP_WITH: Record<PrepKind, (tool: Tool) => string> = {
  metal: (tool) => TOOL_NAMES[tool].toLowerCase(),
  concrete: (tool) => TOOL_NAMES[tool].toLowerCase(),
  rubber: (tool) =>
    tool === 'hand' ? t('a wire brush and a rasp') : t('a rotary rasp at low speed'),
  plastic: () => t('coarse abrasive paper'),
  film: () => t('fine abrasive paper on a block'),
  laminate: (tool) => (tool === 'hand' ? t('a scraper and a brush') : t('a small burr')),
};

/** Prepares to the card's grade with the chosen tool, over this extent; the profile is a reading. */
export function gradeStep(work: Work, extentMm: number, more?: Extra): StepDraft {
  const { grade, profileUm } = work;
  const kind = prepKindOf(work.demand.material);
  const tool = toolUsed(work);
  return prep('grade', {
    does: 'abrade',
    title: grade ? m('Prepare to {grade}', { grade }) : t('Prepare the surface'),
    minutes: gradeMinutes(work),
    says: () => [
      m(
        'Clean with {tool}{extent, select, none {} other { to {past} past the edge of the damage}}.',
        {
          tool: PREP_WITH[kind](tool),
          extent: extentMm > 0 ? 'some' : 'none',
          past: mm(extentMm),
        },
      ),
      grade && m('Grade to reach: {grade}, {what}.', { grade, what: GRADE_NAMES[grade] }),
      profileUm &&
        m('Measure the profile: {min} to {max}, peak to valley.', {
          min: q(profileUm.min, 'thinFilm'),
          max: q(profileUm.max, 'thinFilm'),
        }),
      inZone(work) && NO_SPARK,
    ],
    warns: kind === 'concrete' && SILICA,
    extra: {
      hold: profileUm
        ? {
            kind: 'reading',
            label: m('Profile Rz'),
            quantity: 'thinFilm',
            min: profileUm.min,
            max: profileUm.max,
          }
        : { kind: 'check' },
      sparks: TOOL_REACH[tool].sparks && (kind === 'metal' || kind === 'concrete'),
      figures: [
        ...(profileUm ? ['profile'] : []),
        ...(extentMm === work.site.extentMm ? ['extent'] : []),
      ],
      wrong:
        kind === 'metal'
          ? [
              wrong(
                t('Profile too low'),
                t(
                  'Use a coarser or sharper abrasive. Repair material does not hold on polished metal.',
                ),
              ),
              wrong(t('Rust bloom before mixing'), t('Prepare the surface again.')),
            ]
          : [wrong(t('Shiny places are left'), t('Abrade them until they are matt.'))],
      ...more,
    },
  });
}

/** Removes dust after abrading: dust prevents bonding. */
export const dustOff = (
  says: Says = sentences(`
    Vacuum the surface.
    Brush it.
    Blow it clean with oil-free air.
  `),
  more?: Extra,
): StepDraft =>
  prep('dust-off', {
    does: 'dust-off',
    title: t('Dust off'),
    minutes: 5,
    says: () => says,
    extra: more,
  });

/** Drills the ends of a crack, so that it does not grow. */
export const drillEnds = (count: number, sparks: boolean): StepDraft =>
  prep('drill-ends', {
    does: 'open-up',
    title: t('Drill the ends'),
    minutes: 4 * count,
    says: () =>
      sentences(
        `Drill a {diameter} hole at each end of {n, plural, one {the crack} other {each of the # cracks}}.`,
        { diameter: mm(3), n: count },
      ),
    extra: { sparks },
  });

/** Drives oil and salt out of a casting: heat, wipe, clean again. */
export const sweat = (): StepDraft =>
  prep('sweat', {
    does: 'wet',
    title: t('Sweat the casting'),
    minutes: 90,
    says: () =>
      sentences(`
        Warm the casting slowly until oil and salt come out.
        Wipe it while it is warm.
        Let it cool.
        Degrease it again.
        Repeat until nothing more comes out.
      `),
    extra: {
      wrong: [wrong(t('Dark patches come back'), t('Warm and clean the casting once more.'))],
    },
  });

/** Masks the edge. */
export const mask = (extentMm: number, more?: Extra): StepDraft =>
  prep('mask', {
    does: 'mask',
    title: t('Mask'),
    minutes: 10,
    says: () =>
      sentences(
        `
          Put masking tape round the area, {extent} past the edge of the damage.
          Press the tape down.
          Leave a pull tab at one end.
        `,
        { extent: mm(extentMm) },
      ),
    extra: more,
  });

/** Puts release agent on every part that must come off, with its drying time. */
export const release = (work: Work, parts: Message, more?: Extra): StepDraft[] => [
  prep('release', {
    does: 'release',
    title: t('Release agent'),
    minutes: 15,
    says: () =>
      sentences(
        `
          Put two thin coats of {aid} on {parts}.
          Keep it off the repair surface.
          Change your gloves afterwards.
        `,
        { aid: aidName(work, 'release'), parts },
      ),
    extra: {
      wrong: [
        wrong(
          t('Release agent is on the repair surface'),
          t('Wipe it off with solvent. Prepare the surface again.'),
        ),
      ],
      uses: ['release'],
      figures: ['supply.release'],
      ...more,
    },
  }),
  prep('release-dry', {
    does: 'wait',
    title: t('Let the release dry'),
    minutes: 0,
    says: () => sentences(`Wait until the release agent is dry to the touch.`),
    extra: {
      hold: {
        kind: 'countdown',
        label: m('Release drying'),
        minutes: flashMinutes(work, 'release'),
      },
    },
  }),
];

/** The last wipe, with clean gloves: nothing is abraded after it. */
export const wipe = (work: Work, more?: Extra): StepDraft =>
  prep('wipe', {
    does: 'wipe',
    title: t('Last wipe, new gloves'),
    minutes: 10,
    says: () =>
      sentences(
        `
          Put on new gloves.
          Wipe with {aid} on a lint-free cloth, in one direction.
          Let it dry for {flash}.
          Do not touch the surface again.
        `,
        { aid: aidName(work, 'wipe'), flash: q(flashMinutes(work, 'wipe'), 'time') },
      ),
    extra: { uses: ['wipe'], figures: ['supply.wipe'], ...more },
  });
export const wipeNeed = (work: Work, what: Message): Need => ({
  kind: 'aid',
  use: 'wipe',
  for: what,
  areaMm2: work.demand.prepMm2,
});
