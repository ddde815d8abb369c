import { GRADE_NAMES, prepKindOf, TOOL_NAMES } from '../../materials/substrates';
import { PERMISSION_NAMES, type OldRepair, type Permission } from '../../materials/words';
import type { StepDraft } from '../../plan/step';
import { aidCode } from '../../plan/supplies';
import type { WorkUp } from '../../plan/workUp';
import { say } from '../../units/format';
import { gradeMinutes, wipeMinutes } from './pace';

/** Steps of Prep that families share. Each says what is special to its family in `more`. */

const station = 'prep' as const;
type More = Partial<Omit<StepDraft, 'id' | 'station' | 'text'>> & { text?: string };
export const mm = (x: number) => say(x, 'length');

const step = (
  id: string,
  title: string,
  minutes: number,
  text: () => string,
  { text: extra, ...more }: More = {},
): StepDraft => ({
  id,
  station,
  title,
  minutes,
  text: () => (extra ? `${text()} ${extra}` : text()),
  hold: { kind: 'check' },
  ...more,
});

/** Makes it safe: energy, pressure, permits. */
export const isolate = (work: WorkUp, more?: More): StepDraft =>
  step(
    'isolate',
    'Isolate and make safe',
    20,
    () =>
      `Lock off and tag ${work.survey.asset.tag}. Prove no pressure and no stored energy. Permits where your site asks.`,
    more,
  );

/** Nothing beside it is spoilt, nothing moves. */
export const protect = (more?: More): StepDraft =>
  step(
    'protect',
    'Protect what is beside it',
    10,
    () =>
      'Cover what is beside and below it. Close the area. Photograph the damage with a rule beside it.',
    more,
  );

const OFF: Record<Exclude<OldRepair, 'none'>, { text: string; minutes: number }> = {
  paste: {
    text: 'Grind or chisel the old paste off to the parent; what is left under lets go.',
    minutes: 30,
  },
  wrap: {
    text: 'Saw two lines opposite each other, not into the pipe. Chisel along them, prise the halves off.',
    minutes: 35,
  },
  rubber: {
    text: 'Cut round it, peel it back hard and slow, grind off the last cement.',
    minutes: 25,
  },
  mortar: {
    text: 'Break it out to sound, square at the edges. Wet, or with extraction.',
    minutes: 45,
  },
  sealant: {
    text: 'Cut both sides, pull it out whole, grind the walls: they are the bond.',
    minutes: 25,
  },
  film: { text: 'Strip it past the damage; a glossy coat is not a substrate.', minutes: 20 },
  clamp: {
    text: 'Take it off with the line proved empty; dress weld and rust back to the parent.',
    minutes: 30,
  },
};

/** Takes the old repair off, where there is one. Look how it failed first. */
export function removeOld({ survey }: WorkUp): StepDraft[] {
  const { old } = survey.past;
  if (old === 'none') return [];
  return [
    step(
      'remove-old',
      'Take the old repair off',
      OFF[old].minutes,
      () => `${OFF[old].text} Note how it failed.`,
      {
        hold: { kind: 'photo', label: 'How the old repair failed' },
      },
    ),
  ];
}

/** Grease off before anything is abraded. */
export const degrease = (work: WorkUp, more?: More): StepDraft =>
  step(
    'degrease',
    'Degrease',
    wipeMinutes(work),
    () =>
      `Degrease with ${aidCode(work, 'degreaser')}, well past the damage, from clean to dirty, before any abrading. Rinse, dry.`,
    {
      wrong: [{ sign: 'Water beads on it', remedy: 'Degrease again, with fresh rags.' }],
      ...more,
    },
  );

/** The grade of the card, the tool at hand, how far, and the profile as a reading. */
export function gradeStep(work: WorkUp, extentMm: number, more?: More): StepDraft {
  const { grade, profileUm, survey } = work;
  const metal = prepKindOf(work.demand.material) === 'metal';
  return step(
    'grade',
    grade ? `Prepare to ${grade}` : 'Prepare the surface',
    gradeMinutes(work),
    () =>
      `${grade ? `${grade}: ${GRADE_NAMES[grade]}. ` : ''}${TOOL_NAMES[survey.site.tools]}${extentMm > 0 ? `, ${mm(extentMm)} past the damage each way` : ''}.${
        profileUm ? ` Profile ${profileUm.min} to ${profileUm.max} µm, peak to valley.` : ''
      }${survey.site.area === 'safe' ? '' : ' Non-sparking tools only.'}`,
    {
      hold: profileUm
        ? {
            kind: 'reading',
            label: 'Profile Rz',
            quantity: 'thinFilm',
            min: profileUm.min,
            max: profileUm.max,
          }
        : { kind: 'check' },
      // A family’s own extent is in the words; the figure is the site’s.
      figures: [
        ...(profileUm ? ['profile'] : []),
        ...(extentMm === work.site.extentMm ? ['extent'] : []),
      ],
      wrong: metal
        ? [
            {
              sign: 'Profile too low',
              remedy: 'Sharper or coarser grit; polished metal does not hold.',
            },
            {
              sign: 'Rust bloom before mixing',
              remedy: 'Clean again. Bare metal waits hours, not days.',
            },
          ]
        : [{ sign: 'Shiny places left', remedy: 'Go over them again: matt all over.' }],
      ...more,
    },
  );
}

/** Tape where it must end. */
export const mask = (extentMm: number, more?: More): StepDraft =>
  step('mask', 'Mask', 10, () => `Mask ${mm(extentMm)} out, pressed tight, with a pull tab.`, more);

/** Release on every part that must come off, and its time to dry. */
export const release = (work: WorkUp, parts: string, more?: More): StepDraft =>
  step(
    'release',
    'Release agent',
    15,
    () =>
      `${aidCode(work, 'release')} on ${parts}: two thin coats, let dry. None on the repair surface; change gloves after.`,
    {
      wrong: [
        {
          sign: 'Release on the repair surface',
          remedy: 'Wipe it off with solvent, prepare it again.',
        },
      ],
      ...more,
    },
  );

/** Last wipe, dust off, clean gloves. */
export const wipe = (work: WorkUp, more?: More): StepDraft =>
  step(
    'wipe',
    'Wipe, new gloves',
    10,
    () =>
      `Dust off, wipe with ${aidCode(work, 'wipe')} on a lint-free cloth, one way, let it flash off. From here no bare hand touches it.`,
    more,
  );

/** The ambient gate: stops the job before anything is opened. */
export const gate = (work: WorkUp, more?: More): StepDraft =>
  step(
    'gate',
    'Dew point gate',
    5,
    () => {
      const { minAboveDewC, minSurfaceC, maxSurfaceC, maxRhPct } = work.card.ambient;
      return `Measure air, humidity and surface at the repair. Surface ${minAboveDewC} °C above dew point or more, ${minSurfaceC} to ${maxSurfaceC} °C, humidity ${maxRhPct} % or less.`;
    },
    {
      hold: { kind: 'ambient' },
      figures: ['dewPoint', 'margin'],
      wrong: [
        {
          sign: 'Stop',
          remedy: 'Warm the surface or dry the air, then measure again. Do not mix.',
        },
      ],
      ...more,
    },
  );

/** Who must approve before work begins, by name. */
export const approval = (id: string, who: Permission, what: string): StepDraft =>
  step(id, `${PERMISSION_NAMES[who]} approves`, 0, () => `${what} Not before it is signed.`, {
    hold: { kind: 'approval', who },
  });

/** A step of a family’s own. */
export const own = step;
