import { t } from '../text/text';
import { z } from 'zod';
import {
  defineCalc,
  formatFigure,
  line,
  worked,
  type WorkingLine,
  type Worked,
} from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero, positive, wastePct } from '../calc/number';

const ringed = z
  .strictObject({
    kind: z.literal('ring'),
    outerMm: positive().meta(named(t('Outer diameter'), 'mm')),
    innerMm: positive().meta(named(t('Inner diameter'), 'mm')),
    depthMm: positive().meta(named(t('Depth'), 'mm')),
  })
  .refine((s) => s.innerMm < s.outerMm, { path: ['innerMm'], message: t('must be under outerMm') });
const round = {
  finishedDiameterMm: positive().meta(named(t('Finished diameter'), 'mm')),
  wornDiameterMm: positive().meta(named(t('Worn diameter'), 'mm')),
  lengthMm: positive().meta(named(t('Length'), 'mm')),
};

export const Shape = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('slab'),
    lengthMm: positive().meta(named(t('Length'), 'mm')),
    widthMm: positive().meta(named(t('Width'), 'mm')),
    depthMm: positive().meta(named(t('Depth'), 'mm')),
  }),
  z.strictObject({
    kind: z.literal('disc'),
    diameterMm: positive().meta(named(t('Diameter'), 'mm')),
    depthMm: positive().meta(named(t('Depth'), 'mm')),
  }),
  ringed,
  z.strictObject({
    kind: z.literal('groove'),
    lengthMm: positive().meta(named(t('Length'), 'mm')),
    widthMm: positive().meta(named(t('Width'), 'mm')),
    depthMm: positive().meta(named(t('Depth'), 'mm')),
    profile: z.enum(['square', 'vee']).meta(named(t('Section'))),
  }),
  z
    .strictObject({ kind: z.literal('band'), ...round })
    .refine((s) => s.finishedDiameterMm > s.wornDiameterMm, {
      path: ['finishedDiameterMm'],
      message: t('must be over wornDiameterMm: a shaft is built up'),
    }),
  z
    .strictObject({ kind: z.literal('bore-band'), ...round })
    .refine((s) => s.wornDiameterMm > s.finishedDiameterMm, {
      path: ['wornDiameterMm'],
      message: t('must be over finishedDiameterMm: a bore is built in'),
    }),
  z.strictObject({
    kind: z.literal('dish'),
    diameterMm: positive().meta(named(t('Diameter'), 'mm')),
    depthMm: positive().meta(named(t('Depth'), 'mm')),
  }),
]);
export type Shape = z.infer<typeof Shape>;

export const ShapeVolumeInput = z.strictObject({
  shape: Shape.meta(named(t('Shape'))),
  overfillPct: wastePct()
    .default(0)
    .meta(named(t('Left proud'), '%')),
  wastePct: wastePct()
    .default(0)
    .meta(named(t('Stays on tools'), '%')),
  profileUm: atLeastZero()
    .default(0)
    .meta(named(t('Blast profile'), 'µm')),
});
export type ShapeVolumeInput = z.output<typeof ShapeVolumeInput>;
export interface ShapeVolume {
  areaMm2: number;
  netMl: number;
  grossMl: number;
}

interface Solid {
  areaMm2: number;
  mm3: number;
  /** The formulas as text, made when read. */
  area: () => string;
  volume: () => string;
}

/** Bonded area and volume of one solid, with the formulas as text. For slab, disc and ring only the floor bonds. */
function solid(s: Shape): Solid {
  switch (s.kind) {
    case 'slab': {
      const areaMm2 = s.lengthMm * s.widthMm;
      const area = () => `${formatFigure(s.lengthMm)}·${formatFigure(s.widthMm)}`;
      return {
        areaMm2,
        mm3: areaMm2 * s.depthMm,
        area,
        volume: () => `A·${formatFigure(s.depthMm)}`,
      };
    }
    case 'disc': {
      const areaMm2 = (Math.PI * s.diameterMm ** 2) / 4;
      const area = () => `π·${formatFigure(s.diameterMm)}²/4`;
      return {
        areaMm2,
        mm3: areaMm2 * s.depthMm,
        area,
        volume: () => `A·${formatFigure(s.depthMm)}`,
      };
    }
    case 'ring': {
      const areaMm2 = (Math.PI * (s.outerMm - s.innerMm) * (s.outerMm + s.innerMm)) / 4;
      const area = () => `π·(${formatFigure(s.outerMm)}² − ${formatFigure(s.innerMm)}²)/4`;
      return {
        areaMm2,
        mm3: areaMm2 * s.depthMm,
        area,
        volume: () => `A·${formatFigure(s.depthMm)}`,
      };
    }
    case 'groove': {
      const { lengthMm: l, widthMm: w, depthMm: d } = s;
      return s.profile === 'square'
        ? {
            areaMm2: l * (w + 2 * d),
            mm3: l * w * d,
            area: () => `${formatFigure(l)}·(${formatFigure(w)} + 2·${formatFigure(d)})`,
            volume: () => `${formatFigure(l)}·${formatFigure(w)}·${formatFigure(d)}`,
          }
        : {
            areaMm2: 2 * l * Math.hypot(d, w / 2),
            mm3: (l * w * d) / 2,
            area: () => `2·${formatFigure(l)}·√(${formatFigure(d)}² + ${formatFigure(w)}²/4)`,
            volume: () => `${formatFigure(l)}·${formatFigure(w)}·${formatFigure(d)}/2`,
          };
    }
    case 'band':
    case 'bore-band': {
      const outer = Math.max(s.finishedDiameterMm, s.wornDiameterMm);
      const inner = Math.min(s.finishedDiameterMm, s.wornDiameterMm);
      return {
        areaMm2: Math.PI * s.wornDiameterMm * s.lengthMm,
        mm3: (Math.PI * s.lengthMm * (outer - inner) * (outer + inner)) / 4,
        area: () => `π·${formatFigure(s.wornDiameterMm)}·${formatFigure(s.lengthMm)}`,
        volume: () =>
          `π·${formatFigure(s.lengthMm)}·(${formatFigure(outer)}² − ${formatFigure(inner)}²)/4`,
      };
    }
    case 'dish': {
      const a = s.diameterMm / 2;
      const h = s.depthMm;
      return {
        areaMm2: Math.PI * (a * a + h * h),
        mm3: (Math.PI * h * (3 * a * a + h * h)) / 6,
        area: () => `π·(${formatFigure(a)}² + ${formatFigure(h)}²)`,
        volume: () => `π·${formatFigure(h)}·(3·${formatFigure(a)}² + ${formatFigure(h)}²)/6`,
      };
    }
  }
}

/**
 * Bonded area (mm²) and volume (ml) of a shape in mm, and the volume to mix: half the blast profile over the area,
 * then overfill and waste, in percent. Solid geometry; never refuses.
 */
export function shapeVolume(input: ShapeVolumeInput): Worked<ShapeVolume> {
  const { shape, overfillPct, wastePct, profileUm } = input;
  const { areaMm2, mm3, area, volume } = solid(shape);
  const netMl = mm3 / 1000;
  const profileMl = (areaMm2 * (profileUm / 1000 / 2)) / 1000;
  const grossMl = (netMl + profileMl) * (1 + overfillPct / 100) * (1 + wastePct / 100);
  const working = (): WorkingLine[] => [
    line({
      symbol: 'V',
      label: t('volume of the {kind}', { kind: shape.kind }),
      expression: `${volume()}/1000`,
      value: netMl,
      unit: 'ml',
      source: t('solid geometry'),
    }),
    line({
      symbol: 'Vp',
      label: t('to fill the profile'),
      expression: `A·${formatFigure(profileUm)} µm/2`,
      value: profileMl,
      unit: 'ml',
      source: t('half the peak-to-valley height'),
    }),
    line({
      symbol: 'Vm',
      label: t('volume to mix'),
      expression: `(${formatFigure(netMl)} + ${formatFigure(profileMl)})·(1 + ${formatFigure(overfillPct)} %)·(1 + ${formatFigure(wastePct)} %)`,
      value: grossMl,
      unit: 'ml',
    }),
    line({
      symbol: 'A',
      label: t('bonded area'),
      expression: area(),
      value: areaMm2,
      unit: 'mm²',
      source: t('solid geometry'),
    }),
  ];
  return worked({ areaMm2, netMl, grossMl }, working);
}

export const shapeVolumeCalc = defineCalc({
  name: 'shape-volume',
  purpose: t('Bonded area and volume of a pocket, band, ring or groove, and how much to mix.'),
  input: ShapeVolumeInput,
  run: shapeVolume,
  result: {
    areaMm2: named(t('Area'), 'mm²'),
    netMl: named(t('Stays in it'), 'ml'),
    grossMl: named(t('To mix'), 'ml'),
  },
  formula: [
    'gross = (net + A·profile/2)·(1 + overfill)·(1 + waste)',
    t('slab A·d; disc πD²/4·d; ring π(D² − d²)/4·h; groove L·w·d, vee half of it'),
    t('band and bore band πL(D² − d²)/4; dish πh(3a² + h²)/6'),
  ],
  source: t('Solid geometry; half the peak-to-valley height for the profile.'),
  limits: t('Area is the bonded one: of slab, disc and ring only the floor.'),
  example: {
    shape: { kind: 'dish', diameterMm: 140, depthMm: 11 },
    overfillPct: 10,
    wastePct: 5,
    profileUm: 75,
  },
});
