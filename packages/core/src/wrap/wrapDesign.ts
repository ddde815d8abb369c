import { defineCalc, formatFigure, refuse, worked, type Answer, type Refusal } from '../calc/calc';
import { named } from '../calc/field';
import { ceil, floor } from '../calc/number';
import { t } from '../text/text';
import { WrapDesignInput, type WrapDesign } from './laminate';
import { designLines, sizeOf, type Allowed } from './wrapDesignLines';

/** Required margin of the design temperature below the glass transition, K: thinning, hole. */
const BELOW_TG = { thinning: 20, hole: 30 };
const THINNEST_MM = 1;
/** Thicker than this share of the diameter the thin-shell formulas are invalid. */
const MOST_OF_D = 1 / 6;
const LEAST_OVERLAP_MM = 50;
const TAPER = 5;

/** Temperature factor and the remaining strains after thermal mismatch, or why there is none. */
function allowed({
  designC,
  installC,
  steel,
  laminate,
  defect,
}: WrapDesignInput): Allowed | Refusal {
  const topC = laminate.tgC - BELOW_TG[defect.kind];
  const under = topC - designC;
  if (under < 0)
    return refuse(
      t(
        'Design temperature is {design} °C; this laminate allows {top} °C ({belowTg} under its glass transition). Take one with a higher one.',
        { design: formatFigure(designC), top: formatFigure(topC), belowTg: BELOW_TG[defect.kind] },
      ),
    );
  const factor = Math.min(1, 6e-5 * under ** 2 + 0.001 * under + 0.7014);
  const thermal =
    Math.abs(designC - installC) * Math.abs(steel.expansionPerC - laminate.expansionPerC);
  const hoop = factor * laminate.strainHoop - thermal;
  const axial = factor * laminate.strainAxial - thermal;
  if (hoop <= 0 || axial <= 0)
    return refuse(
      t(
        'Warming from installation to design temperature uses up all the strain this laminate allows. Install it warmer, or take another laminate.',
      ),
    );
  return { factor, hoop, axial };
}

interface Loads {
  p: number;
  thrust: number;
  force: number;
}

/** Thicknesses for hoop and axial load, mm, not below 0, with their formulas as text. */
function strength(input: WrapDesignInput, { hoop, axial }: Allowed, { p, thrust, force }: Loads) {
  const { outsideDiameterMm: D, laminate, steel, remainingWallMm, defect } = input;
  const { hoopModulusMPa: Ec, axialModulusMPa: Ea, poisson } = laminate;
  if (defect.kind === 'hole') {
    const hoopMm =
      ((p * D) / (2 * Ec) - (poisson * Math.min(force, thrust)) / (Math.PI * D * Ec)) / hoop;
    const axialMm = (force / (Math.PI * D * Ea) - (poisson * p * D) / (2 * Ec)) / axial;
    return {
      hoopMm: Math.max(0, hoopMm),
      axialMm: Math.max(0, axialMm),
      hoopText: '(p·D/(2·Ec) − ν·min(F, F0)/(π·D·Ec))/εc',
      axialText: '(F/(π·D·Ea) − ν·p·D/(2·Ec))/εa',
    };
  }
  const s = steel.allowableMPa;
  const ps = (2 * s * remainingWallMm) / D;
  const hoopMm = (D / (2 * s)) * (steel.modulusMPa / Ec) * (p - ps);
  const axialMm = (D / (2 * s)) * (steel.modulusMPa / Ea) * ((2 * force) / (Math.PI * D * D) - ps);
  return {
    hoopMm: Math.max(0, hoopMm),
    axialMm: Math.max(0, axialMm),
    hoopText: `D/(2·s)·(Es/Ec)·(p − ps), ps = 2·s·${formatFigure(remainingWallMm)}/D`,
    axialText: 'D/(2·s)·(Es/Ea)·(2·F/(π·D²) − ps)',
  };
}

/** Thickness in whole plies that holds the pressure under a hole; null if none up to D/6 does. */
function leakThickness(
  input: WrapDesignInput,
  { p, factor, d }: { p: number; factor: number; d: number },
): number | null {
  const { outsideDiameterMm: D, laminate, serviceFactor } = input;
  const { plyMm, poisson, shearMPa: G, toughnessJm2 } = laminate;
  const Eac = Math.sqrt(laminate.axialModulusMPa * laminate.hoopModulusMPa);
  const holds = (plies: number): boolean => {
    const t = plies * plyMm;
    const bending = ((1 - poisson ** 2) / Eac) * ((3 * d ** 4) / (512 * t ** 3) + d / Math.PI);
    const shear = (3 * d * d) / (64 * G * t);
    const most = factor * serviceFactor * Math.sqrt((0.001 * toughnessJm2) / (bending + shear));
    return p <= most && d <= Math.sqrt(6 * D * t);
  };
  // Both conditions ease with every ply, so bisection finds the first that holds.
  const most = floor((D * MOST_OF_D) / plyMm);
  if (most < 1 || !holds(most)) return null;
  let [lo, hi] = [0, most];
  while (hi - lo > 1) {
    const mid = Math.floor((lo + hi) / 2);
    if (holds(mid)) hi = mid;
    else lo = mid;
  }
  return hi * plyMm;
}

/**
 * Plies, overlap and taper of an engineered wrap on straight steel pipe under static pressure and axial load.
 * mm, bar, N, MPa, °C. Guidance for a competent engineer, not a certificate. Refuses past the method's limits:
 * too hot for the laminate, no strain left, no wall left, a hole too big to hold, a wrap thicker than D/6.
 */
export function wrapDesign(input: WrapDesignInput): Answer<WrapDesign> {
  const { outsideDiameterMm: D, wallMm, laminate, defect, minPlies } = input;
  if (defect.kind === 'thinning' && input.remainingWallMm < THINNEST_MM)
    return refuse(
      t('Less than {thinnest} mm of wall is left: treat as a hole.', { thinnest: THINNEST_MM }),
    );
  const allow = allowed(input);
  if ('ok' in allow) return allow;
  const p = input.pressureBar / 10;
  const thrust = (Math.PI * D * D * p) / 4;
  const loads = { p, thrust, force: input.axialForceN ?? thrust };
  const { hoopMm, axialMm, hoopText, axialText } = strength(input, allow, loads);
  const leakMm =
    defect.kind === 'hole'
      ? leakThickness(input, { p, factor: allow.factor, d: defect.diameterMm })
      : null;
  if (defect.kind === 'hole' && leakMm === null)
    return refuse(
      t(
        'No wrap up to D/6 holds {pressureBar} bar over a hole of {diameter} mm. Plug or patch it in steel; a pressure engineer decides.',
        { pressureBar: formatFigure(input.pressureBar), diameter: formatFigure(defect.diameterMm) },
      ),
    );
  const requiredMm = Math.max(hoopMm, axialMm, leakMm ?? 0);
  const plies = Math.max(minPlies, ceil(requiredMm / laminate.plyMm));
  const thicknessMm = plies * laminate.plyMm;
  if (thicknessMm > D * MOST_OF_D + 1e-9)
    return refuse(
      t(
        'It would take {thickness} mm, over a sixth of the diameter: past this method. A pressure engineer decides.',
        { thickness: formatFigure(thicknessMm) },
      ),
    );
  const shearMm = (3 * laminate.axialModulusMPa * allow.axial * thicknessMm) / laminate.lapShearMPa;
  const overlapMm = Math.max(
    LEAST_OVERLAP_MM,
    laminate.minLapMm,
    2 * Math.sqrt(D * wallMm),
    shearMm,
  );
  const taperMm = TAPER * thicknessMm;
  const defectMm = sizeOf(defect);
  const totalLengthMm = defectMm + 2 * overlapMm + 2 * taperMm;
  const made: WrapDesign = {
    temperatureFactor: allow.factor,
    strainHoopAllow: allow.hoop,
    strainAxialAllow: allow.axial,
    hoopMm,
    axialMm,
    leakMm,
    requiredMm,
    plies,
    thicknessMm,
    overlapMm,
    taperMm,
    totalLengthMm,
  };
  return worked(
    made,
    designLines(input, { D, p, thrust, loads, allow, made, hoopText, axialText }),
  );
}

export const wrapDesignCalc = defineCalc({
  name: 'wrap-design',
  purpose: t('Plies, overlap and taper of an engineered wrap on a pipe under pressure.'),
  input: WrapDesignInput,
  run: wrapDesign,
  result: {
    temperatureFactor: named(t('Temperature factor')),
    strainHoopAllow: named(t('Hoop strain allowed')),
    strainAxialAllow: named(t('Axial strain allowed')),
    hoopMm: named(t('Against hoop load'), 'mm'),
    axialMm: named(t('Against axial load'), 'mm'),
    leakMm: named(t('Against the leak'), 'mm'),
    requiredMm: named(t('Required'), 'mm'),
    plies: named(t('Plies')),
    thicknessMm: named(t('Thickness'), 'mm'),
    overlapMm: named(t('Overlap each side'), 'mm'),
    taperMm: named(t('Taper each side'), 'mm'),
    totalLengthMm: named(t('Total length'), 'mm'),
  },
  headline: 'plies',
  formula: [
    t(
      'Tm = Tg − 20 (thinning) or − 30 (hole); fT = 6·10⁻⁵·(Tm − T)² + 0.001·(Tm − T) + 0.7014, at most 1',
    ),
    'ε = fT·ε₀ − |T − Ti|·|αs − αc|',
    t('hole: th = (p·D/(2·Ec) − ν·min(F, F0)/(π·D·Ec))/εc; ta = (F/(π·D·Ea) − ν·p·D/(2·Ec))/εa'),
    t(
      'thinning: th = D/(2s)·(Es/Ec)·(p − ps); ta = D/(2s)·(Es/Ea)·(2F/(π·D²) − ps); ps = 2·s·tr/D',
    ),
    t('leak: p ≤ fT·f·√(0.001·γ/((1 − ν²)/Eac·(3d⁴/(512t³) + d/π) + 3d²/(64·G·t))), d ≤ √(6·D·t)'),
    t('overlap = max(50, least, 2·√(D·wall), 3·Ea·εa·t/τ); taper = 5·t'),
  ],
  source: t('After ISO 24817 and ASME PCC-2 part 4.'),
  limits: t(
    'Straight steel pipe, static internal pressure and axial load, wrap no thicker than D/6. Guidance for a competent engineer, not a certificate: a pressure engineer must approve it.',
  ),
  example: {
    outsideDiameterMm: 219.1,
    wallMm: 6.3,
    remainingWallMm: 6.3,
    pressureBar: 6,
    designC: 72,
    installC: 18,
    steel: { allowableMPa: 120, modulusMPa: 205000, expansionPerC: 1.2e-5 },
    laminate: {
      hoopModulusMPa: 14000,
      axialModulusMPa: 12500,
      poisson: 0.14,
      shearMPa: 2800,
      plyMm: 0.42,
      strainHoop: 0.0027,
      strainAxial: 0.0027,
      expansionPerC: 1.6e-5,
      tgC: 124,
      toughnessJm2: 140,
      lapShearMPa: 6,
      minLapMm: 50,
    },
    defect: { kind: 'hole', diameterMm: 22 },
  },
});
