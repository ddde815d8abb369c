import { z } from 'zod';

const modulus = () => z.number().gt(0).min(1e-3).max(1e7);
const strain = () => z.number().gt(0).min(1e-9).max(1);
const perC = () => z.number().min(-1e-3).max(1e-3);
const mm = (most = 1e5) => z.number().gt(0).min(1e-4).max(most);

/** Properties of a cured laminate as its qualification gives them. */
export const Laminate = z.strictObject({
  hoopModulusMPa: modulus(),
  axialModulusMPa: modulus(),
  poisson: z.number().min(0).lt(0.5),
  shearMPa: modulus(),
  plyMm: mm(1000),
  strainHoop: strain(),
  strainAxial: strain(),
  expansionPerC: perC(),
  tgC: z.number().min(-60).max(400),
  toughnessJm2: z.number().gt(0).min(1e-6).max(1e7),
  lapShearMPa: modulus(),
  minLapMm: z.number().min(0).max(1e5),
});

export const ParentSteel = z.strictObject({
  allowableMPa: modulus(),
  modulusMPa: modulus(),
  expansionPerC: perC(),
});

export const PipeDefect = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('thinning'), lengthMm: mm() }),
  z.strictObject({ kind: z.literal('hole'), diameterMm: mm() }),
]);

export const WrapDesignInput = z
  .strictObject({
    outsideDiameterMm: mm(),
    wallMm: mm(1e4),
    remainingWallMm: z.number().min(0).max(1e4),
    pressureBar: z.number().gt(0).min(1e-6).max(1e5),
    axialForceN: z.number().min(0).max(1e12).optional(),
    designC: z.number().min(-60).max(250),
    installC: z.number().min(-60).max(250),
    steel: ParentSteel,
    laminate: Laminate,
    defect: PipeDefect,
    serviceFactor: z.number().gt(0).min(1e-6).max(1).default(0.333),
    minPlies: z.int().min(1).max(1000).default(2),
  })
  .refine((i) => i.remainingWallMm <= i.wallMm, {
    path: ['remainingWallMm'],
    message: 'must be wallMm or less',
  });
export type WrapDesignInput = z.output<typeof WrapDesignInput>;
