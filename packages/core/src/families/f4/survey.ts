import { tradeAt, type Trade } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m, q } from '../../message/message';
import { METALS } from '../../materials/substrates';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf, type Body } from '../../survey/demand';
import { lineConditions, lineFields, lineRefusals } from '../../survey/line';
import type { RefusalReason, RouteCondition } from '../../survey/refusal';
import { skin, soft, strainsOf } from '../../survey/forgotten';
import { surveyOf } from '../../family/family';
import { mm, schemasOf, type DamageShape } from '../../survey/fields';
import { body, crackWidth, outside, parentOf, pathsOf, wall } from '../../survey/parts';

const pipe = { outsideDiameterMm: outside, wallMm: wall(t('Pipe wall'), 100) };
const pinhole = {
  diameterMm: mm(t('Hole'), {
    why: t('The plug is several times its size.'),
    min: 0.5,
    max: 100,
    step: 0.5,
  }),
  ...pipe,
};
const crack = {
  lengthMm: mm(t('Length of the crack'), { why: t('End to end.'), min: 2, max: 1000 }),
  widthMm: crackWidth(20),
  ...pipe,
};

const LINE_METALS = [...METALS, 'pvc', 'pe', 'pp'] as const;

const shapes: DamageShape[] = [
  {
    shape: 'pinhole',
    title: t('Pinhole'),
    hint: t('a round leak'),
    named: t('pinhole leak'),
    typical: { diameterMm: 4, outsideDiameterMm: 114.3, wallMm: 6 },
    fields: pinhole,
  },
  {
    shape: 'crack',
    title: t('Crack'),
    hint: t('a line that weeps'),
    named: t('cracked pipe'),
    typical: { lengthMm: 60, widthMm: 1, outsideDiameterMm: 114.3, wallMm: 6 },
    fields: crack,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('pinhole'), ...schemasOf(pinhole) }),
  z.strictObject({ shape: z.literal('crack'), ...schemasOf(crack) }),
]);

const parentFields = { ...parentOf(LINE_METALS, t('Pipe')), skin, soft };

type Leak = z.infer<typeof Damage>;
/** Width of an opening across the pipe, as a share of its bore. */
const openShare = (d: Leak): number =>
  (d.shape === 'pinhole' ? d.diameterMm : d.widthMm) /
  Math.max(1, d.outsideDiameterMm - 2 * d.wallMm);

/** Conditions and refusals for a large opening in a small pipe. */
function openings(
  damages: readonly Leak[],
  { replaceShare, largeShare }: Trade['leak'],
): {
  refusals: RefusalReason[];
  conditions: RouteCondition[];
} {
  const share = Math.max(...damages.map(openShare));
  const because = m(
    'The opening is {share} of the bore: {half, select, yes {a wrap over it would be the pipe} other {little pipe is left to hold the wrap}}.',
    {
      share: q(share * 100, 'percent'),
      half: share > replaceShare ? 'yes' : 'no',
    },
  );
  if (share > replaceShare)
    return { refusals: [{ id: 'opening', because, who: 'pressure-engineer' }], conditions: [] };
  const condition = m('a pressure engineer approves so large an opening');
  return {
    refusals: [],
    conditions:
      share > largeShare ? [{ id: 'opening', condition, because, who: 'pressure-engineer' }] : [],
  };
}

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const PipeLeakSurvey = z.strictObject({
  family: z.literal('F4'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  line: z.strictObject(schemasOf(lineFields)),
});
export type PipeLeakSurvey = z.infer<typeof PipeLeakSurvey>;

export const pipeLeakSurvey = surveyOf({
  id: 'F4',
  title: t('Pipe leak, low pressure'),
  hint: t('shut down, plugged and wrapped'),
  kinds: ['pipe'],
  shapes,
  groups: [
    { id: 'parent', title: t('The pipe'), fields: parentFields },
    { id: 'line', title: t('The line'), fields: lineFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'line.shutOff': 'yes', 'line.fluid': 'plain', 'line.straightMm': '' },
  schema: PipeLeakSurvey,
  demand: (survey, site) => {
    const { leak } = tradeAt(site);
    const [first] = survey.damages;
    const plugs = survey.damages.map((d, i): Body =>
      d.shape === 'pinhole'
        ? body(t('Plug'), {
            shape: { kind: 'disc', diameterMm: d.diameterMm * leak.plugTimes, depthMm: d.wallMm },
            buildMm: d.wallMm,
            paths: pathsOf(i, 'diameterMm', 'wallMm'),
          })
        : body(t('Plug'), {
            shape: {
              kind: 'slab',
              lengthMm: d.lengthMm + 20,
              widthMm: Math.max(10, d.widthMm * leak.plugTimes),
              depthMm: d.wallMm,
            },
            buildMm: d.wallMm,
            paths: pathsOf(i, 'lengthMm', 'widthMm', 'wallMm'),
          }),
    );
    const sizes = survey.damages.map((d) => (d.shape === 'pinhole' ? d.diameterMm : d.lengthMm));
    const longestMm = Math.max(...sizes);
    const { pressureBar } = survey.line;
    const opening = openings(survey.damages, leak);
    return demandOf(survey, site, {
      needed: 'lightLoad',
      bodies: plugs,
      pressureBar,
      longestMm,
      wrap: first
        ? {
            outsideDiameterMm: first.outsideDiameterMm,
            wallMm: first.wallMm,
            remainingMm: 0,
            pressureBar,
            designC: survey.service.mediumC,
            defects: sizes.map((diameterMm) => ({ kind: 'hole' as const, diameterMm })),
            engineered: false,
            extentMm: leak.extentMm,
            fitting: survey.line.at,
            straightMm: survey.line.straightMm,
          }
        : null,
      prepMm2: survey.damages.reduce(
        (sum, d, i) => sum + (2 * leak.extentMm + (sizes[i] ?? 0)) * Math.PI * d.outsideDiameterMm,
        0,
      ),
      paths: { pressureBar: 'line.pressureBar' },
      refusals: [...lineRefusals(survey.line, survey.service, tradeAt(site)), ...opening.refusals],
      conditions: [...opening.conditions, ...lineConditions(survey.line)],
      strains: strainsOf(survey.line),
    });
  },
});
