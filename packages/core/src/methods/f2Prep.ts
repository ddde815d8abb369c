import { GRADE_NAMES, TOOL_NAMES } from '../materials/substrates';
import type { StepDraft } from '../plan/step';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';

const mm = (x: number) => say(x, 'length');

/** A fitter's usual pace: minutes to set up, and cm² a minute for each kind of work. */
const PACE = { setUp: 10, grindSetUp: 15, wipeCm2: 60, cutCm2: 30, gradeCm2: 20 };

/** Whether the damage runs round an axis: a former then closes on it. */
export const isRound = (survey: SurveyOf<'F2'>) =>
  survey.damages.some((d) => d.shape === 'seat' || d.shape === 'bore');

/** Prep of a rebuild: isolate, clean, cut back, grade, mask, wipe, gate. */
export function rebuildPrep(work: WorkUp<SurveyOf<'F2'>>): StepDraft[] {
  const { survey, card, site, grade, profileUm } = work;
  const station = 'prep' as const;
  const squareMm = mm(card.layer.minEdgeMm);
  const areaCm2 = work.areaMm2 / 100;
  const steps: (StepDraft | false)[] = [
    {
      id: 'isolate',
      station,
      title: 'Isolate and drain',
      text: () =>
        `Lock off and tag ${survey.asset.tag}. Drain, vent, prove no pressure. Permit for grinding and for entry where your site asks.`,
      minutes: 30,
      hold: { kind: 'check' },
    },
    {
      id: 'degrease',
      station,
      title: 'Degrease',
      text: () =>
        'Degrease well past the damage with A-905, clean to dirty, before any abrading. Rinse, dry.',
      minutes: PACE.setUp + areaCm2 / PACE.wipeCm2,
      hold: { kind: 'check' },
      wrong: [{ sign: 'Water beads on the metal', remedy: 'Degrease again, with fresh rags.' }],
    },
    {
      id: 'open-up',
      station,
      title: 'Cut the edge square',
      text: () =>
        `Cut back to sound metal. Edge square, ${squareMm} deep or more all round: no feather edge.`,
      minutes: PACE.grindSetUp + areaCm2 / PACE.cutCm2,
      hold: {
        kind: 'reading',
        label: 'Edge depth',
        quantity: 'length',
        min: card.layer.minEdgeMm,
        max: null,
      },
      figures: ['minEdge'],
      wrong: [{ sign: 'Edge runs out to nothing', remedy: `Undercut it to ${squareMm}.` }],
    },
    survey.parent.salts && {
      id: 'salts',
      station,
      title: 'Sweat out the salts',
      text: () =>
        'Warm the casting slowly until oil and salt sweat out, wipe, let it cool, then clean again. Repeat until nothing comes.',
      minutes: 90,
      hold: { kind: 'check' },
      wrong: [
        { sign: 'Dark patches come back', remedy: 'Warm and clean once more before going on.' },
      ],
    },
    {
      id: 'grade',
      station,
      title: grade ? `Clean to ${grade}` : 'Clean the metal',
      text: () =>
        `${grade ? `${grade}: ${GRADE_NAMES[grade]}. ` : ''}${TOOL_NAMES[survey.site.tools]}, ${mm(site.extentMm)} past the damage each way. Profile ${
          profileUm ? `${profileUm.min} to ${profileUm.max} µm` : 'as the card says'
        }, peak to valley.`,
      minutes: PACE.grindSetUp + areaCm2 / PACE.gradeCm2,
      hold: {
        kind: 'reading',
        label: 'Profile Rz',
        quantity: 'thinFilm',
        min: profileUm?.min ?? null,
        max: profileUm?.max ?? null,
      },
      figures: ['profile', 'extent'],
      wrong: [
        {
          sign: 'Profile too low',
          remedy: 'Sharper or coarser grit; polished metal does not hold.',
        },
        {
          sign: 'Rust bloom before mixing',
          remedy: 'Clean again. Bare metal waits hours, not days.',
        },
      ],
    },
    {
      id: 'mask',
      station,
      title: 'Mask and release',
      text: () =>
        `Mask ${mm(site.extentMm)} out with a pull tab. A-910 on ${
          isRound(survey)
            ? 'the former, the keyway, and all threads'
            : 'studs, bores and faces that must come apart'
        }; two thin coats, let dry. None on the repair.`,
      minutes: 15,
      hold: { kind: 'check' },
    },
    {
      id: 'wipe',
      station,
      title: 'Wipe, new gloves',
      text: () =>
        'Dust off, wipe with A-930 on a lint-free cloth one way, let it flash off. From here no bare hand touches it.',
      minutes: 10,
      hold: { kind: 'check' },
    },
    {
      id: 'gate',
      station,
      title: 'Dew point gate',
      text: () =>
        `Measure air, humidity and steel at the repair. Steel ${card.ambient.minAboveDewC} °C above dew point or more, ${card.ambient.minSurfaceC} to ${card.ambient.maxSurfaceC} °C, humidity ${card.ambient.maxRhPct} % or less.`,
      minutes: 5,
      hold: { kind: 'ambient' },
      figures: ['dewPoint', 'margin'],
      wrong: [
        { sign: 'Stop', remedy: 'Warm the steel or dry the air, then measure again. Do not mix.' },
      ],
    },
  ];
  return steps.filter((s): s is StepDraft => s !== false);
}
