import { z } from 'zod';
import { m, q } from '../../message/message';
import { METALS } from '../../materials/substrates';
import { closingGroups, commonGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf, FITTINGS, type Body } from '../../survey/demand';
import type { RefusalReason, RouteCondition } from '../../survey/refusal';
import type { Medium } from '../../materials/words';
import { pressureFields, skin, soft, strainsOf } from '../../survey/found';
import { surveyOf } from '../../family/family';
import {
  amountIfKnown,
  laterChoice,
  laterFlag,
  mm,
  schemasOf,
  type DamageShape,
  type SchemasOf,
} from '../../survey/fields';
import {
  body,
  crackWidth,
  fluidDanger,
  outside,
  parentOf,
  pathsOf,
  pressure,
  shutOff,
  wall,
} from '../../survey/parts';

const pipe = { outsideDiameterMm: outside, wallMm: wall('Pipe wall', 100) };
const pinhole = {
  diameterMm: mm('Hole', 'The plug is several times its size.', 0.5, 100, 0.5),
  ...pipe,
};
const crack = {
  lengthMm: mm('Length of the crack', 'End to end.', 2, 1000),
  widthMm: crackWidth(20),
  ...pipe,
};

const LINE_METALS = [...METALS, 'pvc', 'pe', 'pp'] as const;

const shapes: DamageShape[] = [
  {
    shape: 'pinhole',
    title: 'Pinhole',
    hint: 'a round leak',
    named: 'pinhole leak',
    typical: { diameterMm: 4, outsideDiameterMm: 114.3, wallMm: 6 },
    fields: pinhole,
  },
  {
    shape: 'crack',
    title: 'Crack',
    hint: 'a line that weeps',
    named: 'cracked pipe',
    typical: { lengthMm: 60, widthMm: 1, outsideDiameterMm: 114.3, wallMm: 6 },
    fields: crack,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('pinhole'), ...schemasOf(pinhole) }),
  z.strictObject({ shape: z.literal('crack'), ...schemasOf(crack) }),
]);

const parentFields = { ...parentOf(LINE_METALS, 'Pipe'), skin, soft };
export const lineFields = {
  pressureBar: pressure,
  shutOff,
  fluid: fluidDanger,
  at: laterChoice(
    FITTINGS,
    { straight: 'Straight pipe', elbow: 'An elbow', tee: 'A tee or branch' },
    { label: 'Where on the line', why: 'Bends and branches take more tape for the same rating.' },
  ),
  straightMm: amountIfKnown('length', {
    label: 'Clear length beside it, the shorter side',
    why: 'The wrap needs its overlap on both sides. Empty if nobody measured.',
    min: 0,
    max: 10_000,
    step: 10,
  }),
  buried: laterFlag({ label: 'It lies in the ground', why: 'It is dug free all round first.' }),
  ...pressureFields,
};
type Line = z.output<z.ZodObject<SchemasOf<typeof lineFields>>>;

/** What the line asks to be seen to first. */
export const lineConditions = ({ buried }: Pick<Line, 'buried'>): RouteCondition[] =>
  buried
    ? [
        {
          id: 'buried',
          condition: m('it is dug free all round, with the trench shored and dry'),
          because: m('It lies in the ground: a wrap goes right round, and the cure wants it open.'),
        },
      ]
    : [];

/** Gas under more than this stores energy that liquid does not, bar. */
const GAS_BAR = 0.5;

/** Service that is a pressure engineer’s whatever the material. */
export function lineRefusals(
  { fluid, shutOff: off, pressureBar }: Pick<Line, 'fluid' | 'shutOff' | 'pressureBar'>,
  { medium }: { medium: Medium },
): RefusalReason[] {
  return [
    ...(medium === 'air' && pressureBar > GAS_BAR
      ? [
          {
            id: 'gas',
            because: m(
              'It holds gas at {got}: from {from} on that is stored energy, and no plain liquid.',
              { got: q(pressureBar, 'pressure'), from: q(GAS_BAR, 'pressure') },
            ),
            who: 'pressure-engineer' as const,
          },
        ]
      : []),
    ...(fluid === 'plain'
      ? []
      : [
          {
            id: 'fluid',
            because: m('Steam, toxic or hydrocarbon service is past a bonded repair done on site.'),
            who: 'pressure-engineer' as const,
          },
        ]),
    ...(off
      ? []
      : [
          {
            id: 'running',
            because: m(
              'It cannot be shut off: reduce the pressure and plug it first, to an engineer’s plan.',
            ),
            who: 'pressure-engineer' as const,
          },
        ]),
  ];
}

/** A hole of this share of the pipe’s bore is an engineer’s to allow; past half of it the wrap would be the pipe. */
const LARGE_SHARE = 0.25;
const HALF = 0.5;

type Leak = z.infer<typeof Damage>;
/** Clear width of an opening across the pipe, as a share of its bore. */
const openShare = (d: Leak): number =>
  (d.shape === 'pinhole' ? d.diameterMm : d.widthMm) /
  Math.max(1, d.outsideDiameterMm - 2 * d.wallMm);

/** What a large opening in a small pipe asks for. */
function openings(damages: readonly Leak[]): {
  refusals: RefusalReason[];
  conditions: RouteCondition[];
} {
  const share = Math.max(...damages.map(openShare));
  const because = m(
    'The opening is {share} of the bore: {half, select, yes {a wrap over it would be the pipe} other {little pipe is left to hold the wrap}}.',
    {
      share: q(share * 100, 'percent'),
      half: share > HALF ? 'yes' : 'no',
    },
  );
  if (share > HALF)
    return { refusals: [{ id: 'opening', because, who: 'pressure-engineer' }], conditions: [] };
  const condition = m('a pressure engineer approves so large an opening');
  return {
    refusals: [],
    conditions:
      share > LARGE_SHARE ? [{ id: 'opening', condition, because, who: 'pressure-engineer' }] : [],
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

/** A plug is kneaded to several times the hole and pressed in. */
const PLUG_TIMES = 3;
/** A low-pressure wrap runs this far past the leak both ways, at least. */
const EXTENT_MM = 100;

export const pipeLeakSurvey = surveyOf({
  id: 'F4',
  title: 'Pipe leak, low pressure',
  hint: 'shut down, plugged and wrapped',
  kinds: ['pipe'],
  shapes,
  groups: [
    { id: 'parent', title: 'The pipe', fields: parentFields },
    { id: 'line', title: 'The line', fields: lineFields },
    commonGroups.service,
    ...closingGroups,
  ],
  usual: { ...commonUsual, 'line.shutOff': 'yes', 'line.fluid': 'plain', 'line.straightMm': '' },
  schema: PipeLeakSurvey,
  demand: (survey) => {
    const [first] = survey.damages;
    const plugs = survey.damages.map((d, i): Body =>
      d.shape === 'pinhole'
        ? body(
            'Plug',
            { kind: 'disc', diameterMm: d.diameterMm * PLUG_TIMES, depthMm: d.wallMm },
            d.wallMm,
            pathsOf(i, 'diameterMm', 'wallMm'),
          )
        : body(
            'Plug',
            {
              kind: 'slab',
              lengthMm: d.lengthMm + 20,
              widthMm: Math.max(10, d.widthMm * PLUG_TIMES),
              depthMm: d.wallMm,
            },
            d.wallMm,
            pathsOf(i, 'lengthMm', 'widthMm', 'wallMm'),
          ),
    );
    const sizes = survey.damages.map((d) => (d.shape === 'pinhole' ? d.diameterMm : d.lengthMm));
    const longestMm = Math.max(...sizes);
    const { pressureBar } = survey.line;
    const opening = openings(survey.damages);
    return demandOf(survey, {
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
            extentMm: EXTENT_MM,
            fitting: survey.line.at,
            straightMm: survey.line.straightMm,
          }
        : null,
      prepMm2: survey.damages.reduce(
        (sum, d, i) => sum + (2 * EXTENT_MM + (sizes[i] ?? 0)) * Math.PI * d.outsideDiameterMm,
        0,
      ),
      paths: { pressureBar: 'line.pressureBar' },
      refusals: [...lineRefusals(survey.line, survey.service), ...opening.refusals],
      conditions: [...opening.conditions, ...lineConditions(survey.line)],
      strains: strainsOf(survey.line),
    });
  },
});
