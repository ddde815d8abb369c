import { t } from '../text/text';
import { GRADE_NAMES, prepKindOf, TOOL_NAMES, TOOL_REACH } from '../materials/substrates';
import { joined, m, mm, q, type Message } from '../message/message';
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
    text: () =>
      m(
        'New gloves. Degrease with {aid}, well past the damage, from clean to dirty, before any abrading. Rinse, dry.',
        { aid: aidName(work, 'degreaser') },
      ),
    extra: {
      wrong: [wrong(t('Water beads on it'), t('Degrease again, with fresh rags.'))],
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

/** Prepares to the card's grade with the chosen tool, over this extent; the profile is a reading. */
export function gradeStep(work: Work, extentMm: number, more?: Extra): StepDraft {
  const { grade, profileUm } = work;
  const kind = prepKindOf(work.demand.material);
  const tool = toolUsed(work);
  return prep('grade', {
    does: 'abrade',
    title: grade ? m('Prepare to {grade}', { grade }) : t('Prepare the surface'),
    minutes: gradeMinutes(work),
    text: () =>
      joined([
        grade && m('{grade}: {what}.', { grade, what: GRADE_NAMES[grade] }),
        extentMm > 0
          ? m('{tool}, {extent} past the damage each way.', {
              tool: TOOL_NAMES[tool],
              extent: mm(extentMm),
            })
          : m('{tool}.', { tool: TOOL_NAMES[tool] }),
        profileUm &&
          m('Profile {min} to {max}, peak to valley.', {
            min: q(profileUm.min, 'thinFilm'),
            max: q(profileUm.max, 'thinFilm'),
          }),
        kind === 'concrete' && m('Wet, or with extraction, and a P3 mask: the dust is silica.'),
        inZone(work) && NO_SPARK,
      ]),
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
                t('Sharper or coarser grit; polished metal does not hold.'),
              ),
              wrong(
                t('Rust bloom before mixing'),
                t('Clean again. Bare metal waits hours, not days.'),
              ),
            ]
          : [wrong(t('Shiny places left'), t('Go over them again: matt all over.'))],
      ...more,
    },
  });
}

/** Removes dust after abrading: dust prevents bonding. */
export const dustOff = (
  text = t('Vacuum, then brush, then oil-free air. Dust is a release agent.'),
  more?: Extra,
): StepDraft =>
  prep('dust-off', {
    does: 'dust-off',
    title: t('Dust off'),
    minutes: 5,
    text: () => m(text),
    extra: more,
  });

/** Drills the ends of a crack, so that it does not grow. */
export const drillEnds = (count: number, sparks: boolean): StepDraft =>
  prep('drill-ends', {
    does: 'open-up',
    title: t('Drill the ends'),
    minutes: 4 * count,
    text: () =>
      m(
        'A {diameter} hole at each end of {n, plural, one {the crack} other {each of the # cracks}}, or it runs on.',
        {
          diameter: mm(3),
          n: count,
        },
      ),
    extra: { sparks },
  });

/** Drives oil and salt out of a casting: heat, wipe, clean again. */
export const sweat = (): StepDraft =>
  prep('sweat', {
    does: 'wet',
    title: t('Sweat the casting'),
    minutes: 90,
    text: () =>
      m(
        'Warm the casting slowly until oil and salt sweat out, wipe, let it cool, degrease again. Repeat until nothing comes; watch for bleeding.',
      ),
    extra: {
      wrong: [wrong(t('Dark patches come back'), t('Warm and clean once more before going on.'))],
    },
  });

/** Masks the edge. */
export const mask = (extentMm: number, more?: Extra): StepDraft =>
  prep('mask', {
    does: 'mask',
    title: t('Mask'),
    minutes: 10,
    text: () => m('Mask {extent} out, pressed tight, with a pull tab.', { extent: mm(extentMm) }),
    extra: more,
  });

/** Puts release agent on every part that must come off, with its drying time. */
export const release = (work: Work, parts: Message, more?: Extra): StepDraft[] => [
  prep('release', {
    does: 'release',
    title: t('Release agent'),
    minutes: 15,
    text: () =>
      m('{aid} on {parts}: two thin coats. None on the repair surface; change gloves after.', {
        aid: aidName(work, 'release'),
        parts,
      }),
    extra: {
      wrong: [
        wrong(t('Release on the repair surface'), t('Wipe it off with solvent, prepare it again.')),
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
    text: () => m('Dry to the touch, or it prints through.'),
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
    text: () =>
      m(
        'Wipe with {aid} on a lint-free cloth, one way, and let it flash off for {flash}. From here no bare hand touches it.',
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
