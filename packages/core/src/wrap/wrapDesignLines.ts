import { formatFigure, line, type WorkingLine } from '../calc/calc';
import { t } from '../text/text';
import type { WrapDesignInput, WrapDesign } from './laminate';

const METHOD = 'ISO 24817, ASME PCC-2 part 4';

/** The temperature factor, and the strains that remain after thermal mismatch. */
export interface Allowed {
  factor: number;
  hoop: number;
  axial: number;
}

export const sizeOf = (defect: WrapDesignInput['defect']): number =>
  defect.kind === 'hole' ? defect.diameterMm : defect.lengthMm;

export interface Designed {
  D: number;
  p: number;
  thrust: number;
  loads: { force: number };
  allow: Allowed;
  made: WrapDesign;
  hoopText: string;
  axialText: string;
}

/** The loads, and the strains that they may cause. */
const loadLines = (input: WrapDesignInput, designed: Designed): WorkingLine[] => {
  const { laminate } = input;
  const { D, p, thrust, loads, allow } = designed;
  return [
    line({
      symbol: 'p',
      label: t('pressure'),
      expression: `${formatFigure(input.pressureBar)}/10`,
      value: p,
      unit: 'MPa',
      source: 'survey',
    }),
    line({
      symbol: 'F0',
      label: t('end thrust'),
      expression: `π·${formatFigure(D)}²·p/4`,
      value: thrust,
      unit: 'N',
    }),
    line({
      symbol: 'F',
      label: t('axial force'),
      expression:
        input.axialForceN === undefined ? t('the end thrust') : t('as given, thrust included'),
      value: loads.force,
      unit: 'N',
    }),
    line({
      symbol: 'εc',
      label: t('hoop strain allowed'),
      expression: t('fT·{strainHoop} − thermal mismatch', { strainHoop: laminate.strainHoop }),
      value: allow.hoop,
      unit: '',
      source: METHOD,
    }),
    line({
      symbol: 'εa',
      label: t('axial strain allowed'),
      expression: t('fT·{strainAxial} − thermal mismatch', { strainAxial: laminate.strainAxial }),
      value: allow.axial,
      unit: '',
      source: METHOD,
    }),
  ];
};

/** The thickness against each load, and the plies. */
const thicknessLines = (
  { laminate, minPlies }: WrapDesignInput,
  { made, hoopText, axialText }: Designed,
): WorkingLine[] => {
  const { hoopMm, axialMm, leakMm, requiredMm, plies, thicknessMm } = made;
  return [
    line({
      symbol: 'th',
      label: t('against hoop load'),
      expression: hoopText,
      value: hoopMm,
      unit: 'mm',
      source: METHOD,
    }),
    line({
      symbol: 'ta',
      label: t('against axial load'),
      expression: axialText,
      value: axialMm,
      unit: 'mm',
      source: METHOD,
    }),
    ...(leakMm === null
      ? []
      : [
          line({
            symbol: 'tl',
            label: t('against blowing off the hole'),
            expression: t('first whole ply with p ≤ fT·f·√(0.001·γ/(…)) and d ≤ √(6·D·t)'),
            value: leakMm,
            unit: 'mm',
            source: METHOD,
          }),
        ]),
    line({
      symbol: 'tr',
      label: t('required'),
      expression: t('the greatest of them'),
      value: requiredMm,
      unit: 'mm',
    }),
    line({
      symbol: 'n',
      label: t('plies'),
      expression: t('{required}/{ply}, rounded up, at least {minPlies}', {
        required: formatFigure(requiredMm),
        ply: formatFigure(laminate.plyMm),
        minPlies,
      }),
      value: plies,
      unit: '',
      source: 'card',
    }),
    line({
      symbol: 't',
      label: t('thickness'),
      expression: `${plies}·${formatFigure(laminate.plyMm)}`,
      value: thicknessMm,
      unit: 'mm',
    }),
  ];
};

/** The length along the pipe. */
const lengthLines = (
  { wallMm, laminate, defect }: WrapDesignInput,
  { D, allow, made }: Designed,
): WorkingLine[] => {
  const { thicknessMm, overlapMm, taperMm, totalLengthMm } = made;
  return [
    line({
      symbol: 'lo',
      label: t('overlap each side'),
      expression: `max(50, ${formatFigure(laminate.minLapMm)}, 2·√(${formatFigure(D)}·${formatFigure(wallMm)}), 3·Ea·εa·t/τ)`,
      value: overlapMm,
      unit: 'mm',
      source: METHOD,
    }),
    line({
      symbol: 'lt',
      label: t('taper each side'),
      expression: `5·${formatFigure(thicknessMm)}`,
      value: taperMm,
      unit: 'mm',
      source: METHOD,
    }),
    line({
      symbol: 'L',
      label: t('length in all'),
      expression: `${formatFigure(sizeOf(defect))} + 2·lo + 2·lt`,
      value: totalLengthMm,
      unit: 'mm',
    }),
    line({
      symbol: 'fT',
      label: t('temperature factor'),
      expression: t('6·10⁻⁵·ΔT² + 0.001·ΔT + 0.7014, at most 1'),
      value: allow.factor,
      unit: '',
      source: METHOD,
    }),
  ];
};

/** The lines of working of the wrap design. */
export const designLines = (input: WrapDesignInput, designed: Designed): WorkingLine[] => [
  ...loadLines(input, designed),
  ...thicknessLines(input, designed),
  ...lengthLines(input, designed),
];
