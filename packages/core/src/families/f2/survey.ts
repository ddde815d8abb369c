import { t } from '../../text/text';
import { z } from 'zod';
import type { Shape } from '../../geometry/shapeVolume';
import type { Needed } from '../../materials/milestones';
import { METALS } from '../../materials/substrates';
import { DRY_MEDIA, type Medium } from '../../materials/words';
import type { SiteSettings } from '../../site/site';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf, type Body } from '../../survey/demand';
import { pressureFields, skin, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { amountIfKnown, flag, mm, schemasOf, type DamageShape } from '../../survey/fields';
import { body, grownArea, parentOf, pathsOf } from '../../survey/parts';

const wall = mm(t('Sound wall around it'), {
  why: t('What is left under the pocket decides who must approve.'),
  min: 1,
  max: 500,
  step: 0.5,
});
const depth = mm(t('Greatest depth'), {
  why: t('Sets the coats and the volume.'),
  min: 0.2,
  max: 200,
  step: 0.5,
});

const pocket = {
  diameterMm: mm(t('Width across'), {
    why: t('At the widest, after cutting back to sound metal.'),
    min: 5,
    max: 3000,
  }),
  depthMm: depth,
  wallMm: wall,
};
const flat = {
  lengthMm: mm(t('Length'), { why: t('Along the longer side.'), min: 5, max: 5000 }),
  widthMm: mm(t('Width'), { why: t('Across it.'), min: 5, max: 3000 }),
  depthMm: depth,
  wallMm: wall,
};
const seat = {
  finishedDiameterMm: mm(t('Finished diameter'), {
    why: t('What it must measure in the end.'),
    min: 10,
    max: 2000,
    step: 0.01,
  }),
  wornDiameterMm: mm(t('Worn diameter'), {
    why: t('The smallest, after undercutting.'),
    min: 5,
    max: 2000,
    step: 0.01,
  }),
  lengthMm: mm(t('Length of the seat'), { why: t('Along the shaft.'), min: 3, max: 2000 }),
};
const bore = {
  ...seat,
  wornDiameterMm: mm(t('Worn diameter'), {
    why: t('The largest, after boring it round.'),
    min: 5,
    max: 2100,
    step: 0.01,
  }),
  lengthMm: mm(t('Length of the bore'), { why: t('Along its axis.'), min: 3, max: 2000 }),
};

const shapes: DamageShape[] = [
  {
    shape: 'pocket',
    title: t('Round pocket'),
    hint: t('eroded hollow in a wall'),
    named: t('erosion pocket'),
    typical: { diameterMm: 120, depthMm: 8, wallMm: 18 },
    fields: pocket,
  },
  {
    shape: 'flat',
    title: t('Flat area'),
    hint: t('wall worn thin'),
    named: t('worn wall'),
    typical: { lengthMm: 200, widthMm: 120, depthMm: 5, wallMm: 16 },
    fields: flat,
  },
  {
    shape: 'seat',
    title: t('Shaft seat'),
    hint: t('bearing or seal seat worn'),
    named: t('worn shaft seat'),
    typical: { finishedDiameterMm: 80, wornDiameterMm: 77, lengthMm: 50 },
    fields: seat,
  },
  {
    shape: 'bore',
    title: t('Bore'),
    hint: t('housing bore worn'),
    named: t('worn bore'),
    typical: { finishedDiameterMm: 120, wornDiameterMm: 123, lengthMm: 50 },
    fields: bore,
  },
];

const shallower = {
  path: ['depthMm'],
  message: t('must be under the sound wall; a hole right through is another repair'),
};
const Damage = z.discriminatedUnion('shape', [
  z
    .strictObject({ shape: z.literal('pocket'), ...schemasOf(pocket) })
    .refine((d) => d.depthMm < d.wallMm, shallower),
  z
    .strictObject({ shape: z.literal('flat'), ...schemasOf(flat) })
    .refine((d) => d.depthMm < d.wallMm, shallower),
  z
    .strictObject({ shape: z.literal('seat'), ...schemasOf(seat) })
    .refine((d) => d.wornDiameterMm < d.finishedDiameterMm, {
      path: ['wornDiameterMm'],
      message: t('must be under the finished diameter: a shaft is built up'),
    }),
  z
    .strictObject({ shape: z.literal('bore'), ...schemasOf(bore) })
    .refine((d) => d.wornDiameterMm > d.finishedDiameterMm, {
      path: ['wornDiameterMm'],
      message: t('must be over the finished diameter: a bore is built in'),
    }),
]);
export type RebuildDamage = z.infer<typeof Damage>;

const parentFields = {
  ...parentOf(METALS, t('Parent metal')),
  skin,
  salts: flag({
    label: t('Old casting, in salt or lime service'),
    why: t('Salts come out with heat and must be blasted off again.'),
  }),
  machined: flag({ label: t('Must be machined to size'), why: t('Ceramic paste cannot be cut.') }),
};

const dutyFields = {
  pressureBar: amountIfKnown('pressure', {
    label: t('Pressure inside'),
    why: t('A thin wall under pressure is more than looks. Empty where there is none.'),
    min: 0,
    max: 400,
    step: 0.5,
  }),
  ...pressureFields,
};

/** Defaults for a survey stored before this question existed. */
const noDuty = { pressureBar: null, cycles: false, vibrates: false, heatCycles: false } as const;

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const RebuildSurvey = z.strictObject({
  family: z.literal('F2'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  duty: z.strictObject(schemasOf(dutyFields)).default({ ...noDuty }),
});
export type RebuildSurvey = z.infer<typeof RebuildSurvey>;

/** Material left on for machining to the finished size. */
const allowance = (survey: RebuildSurvey, site: SiteSettings) =>
  survey.parent.machined ? site.machiningMm : 0;

function bodyOf(damage: RebuildDamage, i: number, extraMm: number): Body {
  const paths = (...keys: string[]) => pathsOf(i, ...keys);
  if (damage.shape === 'seat' || damage.shape === 'bore') {
    const { finishedDiameterMm: finished, wornDiameterMm, lengthMm } = damage;
    const onShaft = damage.shape === 'seat';
    const finishedDiameterMm = onShaft
      ? finished + 2 * extraMm
      : Math.max(finished - 2 * extraMm, finished / 2);
    const kind = onShaft ? ('band' as const) : ('bore-band' as const);
    const shape: Shape = { kind, finishedDiameterMm, wornDiameterMm, lengthMm };
    const buildMm = Math.abs(finishedDiameterMm - wornDiameterMm) / 2;
    const title = onShaft ? t('Shaft seat') : t('Bore');
    return body(title, {
      shape,
      buildMm,
      paths: paths('finishedDiameterMm', 'wornDiameterMm', 'lengthMm'),
    });
  }
  const { depthMm, wallMm } = damage;
  const remainingMm = wallMm - depthMm;
  const buildMm = depthMm + extraMm;
  if (damage.shape === 'pocket') {
    const shape: Shape = { kind: 'dish', diameterMm: damage.diameterMm, depthMm: buildMm };
    return body(t('Round pocket'), {
      shape,
      buildMm,
      paths: paths('diameterMm', 'depthMm'),
      remainingMm,
    });
  }
  const { lengthMm, widthMm } = damage;
  const shape: Shape = { kind: 'slab', lengthMm, widthMm, depthMm: buildMm };
  return body(t('Flat area'), {
    shape,
    buildMm,
    paths: paths('lengthMm', 'widthMm', 'depthMm'),
    remainingMm,
  });
}

const AGGRESSIVE: readonly Medium[] = ['lime-milk', 'caustic', 'mineral-acid'];

/**
 * Dry seats wait for load; wetted metal also for immersion; strong alkali and acid for the full chemical cure if the
 * repair must last.
 */
function needed({ service, intent }: RebuildSurvey): Needed {
  if (DRY_MEDIA.includes(service.medium)) return 'fullLoad';
  return AGGRESSIVE.includes(service.medium) && intent === 'lasting'
    ? 'chemical'
    : ['fullLoad', 'immersion'];
}

export const rebuildSurvey = surveyOf({
  id: 'F2',
  title: t('Pump casing, impeller, shaft seat'),
  hint: t('metal worn or eroded, to be rebuilt'),
  kinds: ['pump', 'gearbox', 'valve'],
  shapes,
  groups: [
    { id: 'parent', title: t('Parent metal'), fields: parentFields },
    commonGroups.service,
    { id: 'duty', title: t('How it is loaded'), fields: dutyFields },
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'parent.salts': 'no', 'parent.machined': 'no', 'duty.pressureBar': '' },
  schema: RebuildSurvey,
  demand: (survey, site) => {
    const bodies = survey.damages.map((d, i) => bodyOf(d, i, allowance(survey, site)));
    const longestMm = Math.max(
      ...survey.damages.map((d) =>
        d.shape === 'pocket'
          ? d.diameterMm
          : d.shape === 'flat'
            ? Math.max(d.lengthMm, d.widthMm)
            : d.lengthMm,
      ),
    );
    return demandOf(survey, site, {
      needed: needed(survey),
      bodies,
      pressureBar: survey.duty.pressureBar ?? 0,
      strains: strainsOf(survey.duty),
      machined: survey.parent.machined,
      longestMm,
      prepMm2: survey.damages.reduce((sum, d) => {
        if (d.shape === 'pocket') return sum + grownArea(d.diameterMm, d.diameterMm, site.extentMm);
        if (d.shape === 'flat') return sum + grownArea(d.lengthMm, d.widthMm, site.extentMm);
        return sum + Math.PI * d.wornDiameterMm * (d.lengthMm + 2 * site.extentMm);
      }, 0),
      paths: { machined: 'parent.machined', pressureBar: 'duty.pressureBar' },
    });
  },
});
