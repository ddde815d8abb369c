import { t } from '../text/text';
import { z } from 'zod';
import { named } from '../calc/field';

const modulus = () => z.number().gt(0).min(1e-3).max(1e7);
const strain = () => z.number().gt(0).min(1e-9).max(1);
const perC = () => z.number().min(-1e-3).max(1e-3);
const mm = (most = 1e5) => z.number().gt(0).min(1e-4).max(most);

/** Properties of a cured laminate from its qualification. */
export const Laminate = z.strictObject({
  hoopModulusMPa: modulus().meta(named(t('Hoop modulus'), 'MPa')),
  axialModulusMPa: modulus().meta(named(t('Axial modulus'), 'MPa')),
  poisson: z
    .number()
    .min(0)
    .lt(0.5)
    .meta(named(t('Poisson’s ratio'))),
  shearMPa: modulus().meta(named(t('Shear modulus'), 'MPa')),
  plyMm: mm(1000).meta(named(t('Ply'), 'mm')),
  strainHoop: strain().meta(named(t('Hoop strain'))),
  strainAxial: strain().meta(named(t('Axial strain'))),
  expansionPerC: perC().meta(named(t('Expansion'), '1/°C')),
  tgC: z
    .number()
    .min(-60)
    .max(400)
    .meta(named(t('Glass transition'), '°C')),
  toughnessJm2: z
    .number()
    .gt(0)
    .min(1e-6)
    .max(1e7)
    .meta(named(t('Toughness'), 'J/m²')),
  lapShearMPa: modulus().meta(named(t('Lap shear strength'), 'MPa')),
  minLapMm: z
    .number()
    .min(0)
    .max(1e5)
    .meta(named(t('Least lap'), 'mm')),
});

export const ParentSteel = z.strictObject({
  allowableMPa: modulus().meta(named(t('Allowable stress'), 'MPa')),
  modulusMPa: modulus().meta(named(t('Modulus'), 'MPa')),
  expansionPerC: perC().meta(named(t('Expansion'), '1/°C')),
});

export const PipeDefect = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('thinning'), lengthMm: mm().meta(named(t('Length'), 'mm')) }),
  z.strictObject({ kind: z.literal('hole'), diameterMm: mm().meta(named(t('Diameter'), 'mm')) }),
]);

export const WrapDesignInput = z
  .strictObject({
    outsideDiameterMm: mm().meta(named(t('Outside diameter'), 'mm')),
    wallMm: mm(1e4).meta(named(t('Wall'), 'mm')),
    remainingWallMm: z
      .number()
      .min(0)
      .max(1e4)
      .meta(named(t('Remaining wall'), 'mm')),
    pressureBar: z
      .number()
      .gt(0)
      .min(1e-6)
      .max(1e5)
      .meta(named(t('Pressure'), 'bar')),
    axialForceN: z
      .number()
      .min(0)
      .max(1e12)
      .optional()
      .meta(named(t('Axial force'), 'N')),
    designC: z
      .number()
      .min(-60)
      .max(250)
      .meta(named(t('Design temperature'), '°C')),
    installC: z
      .number()
      .min(-60)
      .max(250)
      .meta(named(t('Installed at'), '°C')),
    steel: ParentSteel.meta(named(t('Steel'))),
    laminate: Laminate.meta(named(t('Laminate'))),
    defect: PipeDefect.meta(named(t('Defect'))),
    serviceFactor: z
      .number()
      .gt(0)
      .min(1e-6)
      .max(1)
      .default(0.333)
      .meta(named(t('Service factor'))),
    minPlies: z
      .int()
      .min(1)
      .max(1000)
      .default(2)
      .meta(named(t('Min plies'))),
  })
  .refine((i) => i.remainingWallMm <= i.wallMm, {
    path: ['remainingWallMm'],
    message: t('must be wallMm or less'),
  });
export type WrapDesignInput = z.output<typeof WrapDesignInput>;

/** A wrap as the method designs it: strains as shares, thicknesses and lengths in mm. */
export interface WrapDesign {
  temperatureFactor: number;
  strainHoopAllow: number;
  strainAxialAllow: number;
  hoopMm: number;
  axialMm: number;
  leakMm: number | null;
  requiredMm: number;
  plies: number;
  thicknessMm: number;
  overlapMm: number;
  taperMm: number;
  totalLengthMm: number;
}
