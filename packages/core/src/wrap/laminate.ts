import { z } from 'zod';
import { named } from '../calc/field';

const modulus = () => z.number().gt(0).min(1e-3).max(1e7);
const strain = () => z.number().gt(0).min(1e-9).max(1);
const perC = () => z.number().min(-1e-3).max(1e-3);
const mm = (most = 1e5) => z.number().gt(0).min(1e-4).max(most);

/** Properties of a cured laminate from its qualification. */
export const Laminate = z.strictObject({
  hoopModulusMPa: modulus().meta(named('Hoop modulus', 'MPa')),
  axialModulusMPa: modulus().meta(named('Axial modulus', 'MPa')),
  poisson: z.number().min(0).lt(0.5).meta(named('Poisson’s ratio')),
  shearMPa: modulus().meta(named('Shear modulus', 'MPa')),
  plyMm: mm(1000).meta(named('Ply', 'mm')),
  strainHoop: strain().meta(named('Hoop strain')),
  strainAxial: strain().meta(named('Axial strain')),
  expansionPerC: perC().meta(named('Expansion', '1/°C')),
  tgC: z.number().min(-60).max(400).meta(named('Glass transition', '°C')),
  toughnessJm2: z.number().gt(0).min(1e-6).max(1e7).meta(named('Toughness', 'J/m²')),
  lapShearMPa: modulus().meta(named('Lap shear strength', 'MPa')),
  minLapMm: z.number().min(0).max(1e5).meta(named('Least lap', 'mm')),
});

export const ParentSteel = z.strictObject({
  allowableMPa: modulus().meta(named('Allowable stress', 'MPa')),
  modulusMPa: modulus().meta(named('Modulus', 'MPa')),
  expansionPerC: perC().meta(named('Expansion', '1/°C')),
});

export const PipeDefect = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('thinning'), lengthMm: mm().meta(named('Length', 'mm')) }),
  z.strictObject({ kind: z.literal('hole'), diameterMm: mm().meta(named('Diameter', 'mm')) }),
]);

export const WrapDesignInput = z
  .strictObject({
    outsideDiameterMm: mm().meta(named('Outside diameter', 'mm')),
    wallMm: mm(1e4).meta(named('Wall', 'mm')),
    remainingWallMm: z.number().min(0).max(1e4).meta(named('Remaining wall', 'mm')),
    pressureBar: z.number().gt(0).min(1e-6).max(1e5).meta(named('Pressure', 'bar')),
    axialForceN: z.number().min(0).max(1e12).optional().meta(named('Axial force', 'N')),
    designC: z.number().min(-60).max(250).meta(named('Design temperature', '°C')),
    installC: z.number().min(-60).max(250).meta(named('Installed at', '°C')),
    steel: ParentSteel.meta(named('Steel')),
    laminate: Laminate.meta(named('Laminate')),
    defect: PipeDefect.meta(named('Defect')),
    serviceFactor: z.number().gt(0).min(1e-6).max(1).default(0.333).meta(named('Service factor')),
    minPlies: z.int().min(1).max(1000).default(2).meta(named('Min plies')),
  })
  .refine((i) => i.remainingWallMm <= i.wallMm, {
    path: ['remainingWallMm'],
    message: 'must be wallMm or less',
  });
export type WrapDesignInput = z.output<typeof WrapDesignInput>;
