import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { positive } from '../calc/number';

export const CrackMovementInput = z
  .strictObject({
    panelLengthM: positive().meta(named(t('Panel length'), 'm')),
    deltaC: z
      .number()
      .min(-310)
      .max(310)
      .meta(named(t('Change of temperature'), 'K')),
    expansionPerC: z
      .number()
      .gt(0)
      .min(1e-9)
      .max(1e-3)
      .default(1e-5)
      .meta(named(t('Expansion'), '1/°C')),
    movementShare: z
      .number()
      .min(0)
      .max(1)
      .default(1)
      .meta(named(t('Share that opens here'))),
    restraint: z
      .number()
      .min(0)
      .max(1)
      .default(1)
      .meta(named(t('Restraint'))),
    crackWidthMm: positive().meta(named(t('Crack width'), 'mm')),
    materialMovementPct: z
      .number()
      .min(0)
      .max(10_000)
      .meta(named(t('Movement it stands'), '%')),
    tied: z
      .boolean()
      .default(false)
      .meta(named(t('Tied across'))),
    modulusMPa: positive()
      .optional()
      .meta(named(t('Modulus'), 'MPa')),
    tensileMPa: positive()
      .optional()
      .meta(named(t('Tensile strength'), 'MPa')),
  })
  .superRefine((i, ctx) => {
    if (!i.tied) return;
    for (const path of ['modulusMPa', 'tensileMPa'] as const) {
      if (i[path] === undefined)
        ctx.addIssue({
          code: 'custom',
          path: [path],
          message: t('is missing; a tied crack needs it'),
        });
    }
  });
export type CrackMovementInput = z.output<typeof CrackMovementInput>;
export interface CrackMovement {
  movementMm: number;
  demandPct: number;
  stressMPa: number | null;
  verdict: 'holds' | 'opens';
}

/**
 * The effect of day and night on a filled crack: movement in mm, and in percent of its width against the filler's
 * limit; for a crack bridged by reinforcement, the stress in MPa against its tensile strength. Never refuses.
 */
export function crackMovement(input: CrackMovementInput): Worked<CrackMovement> {
  const {
    panelLengthM,
    expansionPerC,
    movementShare,
    restraint,
    crackWidthMm,
    materialMovementPct,
  } = input;
  const deltaC = Math.abs(input.deltaC);
  const movementMm = panelLengthM * 1000 * expansionPerC * deltaC * movementShare;
  const demandPct = (movementMm / crackWidthMm) * 100;
  const working = [
    line({
      symbol: 'ΔT',
      label: t('change of temperature'),
      expression: t('without its sign'),
      value: deltaC,
      unit: 'K',
      source: 'survey',
    }),
    line({
      symbol: 'd',
      label: t('demand on the filler'),
      expression: `x/${formatFigure(crackWidthMm)}·100, most ${formatFigure(materialMovementPct)}`,
      value: demandPct,
      unit: '%',
      source: 'card',
    }),
  ];
  let stressMPa: number | null = null;
  let holds = demandPct <= materialMovementPct;
  if (input.tied) {
    stressMPa = (input.modulusMPa as number) * expansionPerC * deltaC * restraint;
    holds = stressMPa <= (input.tensileMPa as number);
    working.push(
      line({
        symbol: 'σ',
        label: t('stress, tied across'),
        expression: `${formatFigure(input.modulusMPa as number)}·${expansionPerC}·${formatFigure(deltaC)}·${formatFigure(restraint)}, most ${formatFigure(input.tensileMPa as number)}`,
        value: stressMPa,
        unit: 'MPa',
        source: 'Hooke',
      }),
    );
  }
  const verdict = holds ? 'holds' : 'opens';
  working.push(
    line({
      symbol: '',
      label: t('verdict'),
      expression: input.tied
        ? t('stress against tensile strength')
        : t('demand against what it stands'),
      value: verdict,
    }),
    line({
      symbol: 'x',
      label: t('movement'),
      expression: `${formatFigure(panelLengthM)}·1000·${expansionPerC}·${formatFigure(deltaC)}·${formatFigure(movementShare)}`,
      value: movementMm,
      unit: 'mm',
      source: t('thermal expansion'),
    }),
  );
  return worked({ movementMm, demandPct, stressMPa, verdict }, working);
}

export const crackMovementCalc = defineCalc({
  name: 'crack-movement',
  purpose: t('Whether a filled crack holds when day and night move it.'),
  input: CrackMovementInput,
  run: crackMovement,
  result: {
    movementMm: named(t('Movement'), 'mm'),
    demandPct: named(t('Movement asked of it'), '%'),
    stressMPa: named(t('Stress'), 'MPa'),
    verdict: named(t('Verdict')),
  },
  headline: 'verdict',
  formula: [
    t('x = L·1000·α·ΔT·share; demand = x/width·100'),
    t('tied: σ = E·α·ΔT·restraint against the tensile strength'),
  ],
  source: t('Linear thermal expansion; Hooke for a tied crack.'),
  limits: t(
    'Temperature only. Loads, shrinkage and settlement come on top; a structural crack is an engineer’s.',
  ),
  example: {
    panelLengthM: 6,
    deltaC: 15,
    movementShare: 0.8,
    crackWidthMm: 12,
    materialMovementPct: 12,
  },
});
