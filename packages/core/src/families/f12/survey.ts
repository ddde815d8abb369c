import { t } from '../../text/text';
import { z } from 'zod';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import { soft } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import { body, crackWidth, grownArea, parentOf, pathsOf, wall } from '../../survey/parts';

const shell = wall(t('Shell thickness'), 60);
const hole = {
  diameterMm: mm(t('Hole'), { why: t('At its widest.'), min: 1, max: 300 }),
  wallMm: shell,
};
const crack = {
  lengthMm: mm(t('Length of the crack'), {
    why: t('End to end; drill its ends.'),
    min: 3,
    max: 2000,
  }),
  widthMm: crackWidth(20),
  wallMm: shell,
};
const shapes: DamageShape[] = [
  {
    shape: 'hole',
    title: t('Hole'),
    hint: t('in shell or fitting'),
    named: t('holed tank shell'),
    typical: { diameterMm: 20, wallMm: 6 },
    fields: hole,
  },
  {
    shape: 'crack',
    title: t('Crack'),
    hint: t('at a corner or fitting'),
    named: t('cracked tank shell'),
    typical: { lengthMm: 120, widthMm: 2, wallMm: 6 },
    fields: crack,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('hole'), ...schemasOf(hole) }),
  z.strictObject({ shape: z.literal('crack'), ...schemasOf(crack) }),
]);

const parentFields = {
  ...parentOf(
    ['abs', 'pvc', 'pe', 'pp', 'grp'],
    t('Plastic'),
    t('A solvent must dissolve it; polyethylene it does not.'),
  ),
  soft,
};
const tankFields = {
  pressurised: flag({
    label: t('Under pressure'),
    why: t('A filler holds a head of liquid, not pressure.'),
  }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const TankSurvey = z.strictObject({
  family: z.literal('F12'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  tank: z.strictObject(schemasOf(tankFields)),
});
export type TankSurvey = z.infer<typeof TankSurvey>;

export const tankSurvey = surveyOf({
  id: 'F12',
  title: t('Plastic tank, pot, fitting'),
  hint: t('dissolved-polymer filler or putty'),
  kinds: ['tank', 'dosing'],
  shapes,
  groups: [
    { id: 'parent', title: t('The plastic'), fields: parentFields },
    { id: 'tank', title: t('The tank'), fields: tankFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'tank.pressurised': 'no', 'surface.slope': 'vertical' },
  schema: TankSurvey,
  demand: (survey, site) =>
    demandOf(survey, site, {
      needed: 'immersion',
      // The hole is filled, with the same thickness again on the outside.
      bodies: survey.damages.map((d, i) =>
        d.shape === 'hole'
          ? body(t('Hole'), {
              shape: { kind: 'disc', diameterMm: d.diameterMm * 1.5, depthMm: d.wallMm },
              buildMm: d.wallMm,
              paths: pathsOf(i, 'diameterMm', 'wallMm'),
            })
          : body(t('Crack'), {
              shape: {
                kind: 'groove',
                lengthMm: d.lengthMm,
                widthMm: Math.max(3, d.widthMm),
                depthMm: d.wallMm,
                profile: 'vee',
              },
              buildMm: d.wallMm,
              paths: pathsOf(i, 'lengthMm', 'widthMm', 'wallMm'),
            }),
      ),
      pressureBar: survey.tank.pressurised ? 1 : 0,
      longestMm: Math.max(
        ...survey.damages.map((d) => (d.shape === 'hole' ? d.diameterMm : d.lengthMm)),
      ),
      prepMm2: survey.damages.reduce((sum, d) => {
        const [long, wide] =
          d.shape === 'hole' ? [d.diameterMm, d.diameterMm] : [d.lengthMm, d.widthMm];
        return sum + grownArea(long, wide, Math.max(site.extentMm, d.wallMm * 3));
      }, 0),
      paths: { pressureBar: 'tank.pressurised' },
    }),
});
