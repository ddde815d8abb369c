import type { Trade } from '../trade/trade';
import { t } from '../text/text';
import type { Shape } from '../geometry/shapeVolume';
import { SUBSTRATE_NAMES, type Substrate } from '../materials/substrates';
import { USUAL_SITE } from '../site/site';
import type { Body, CrackNeed, DemandFigure, ServiceNeed } from './demand';
import { wettedBy, type Frost } from './forgotten';
import { amount, choice, flag, mm } from './fields';

/** Fields and bodies that several families share. */

/** The substrate question: the substrates of a family, and why it is asked. */
export const parentOf = <const M extends readonly Substrate[]>(
  materials: M,
  label: string,
  why = t('Prep and grip depend on it.'),
) => ({ material: choice(materials, SUBSTRATE_NAMES, { label, why }) });

export const depth = (max = 500) =>
  mm(t('Greatest depth'), { why: t('Sets the coats and the volume.'), min: 0.2, max, step: 0.5 });
export const wall = (label = t('Sound wall around it'), max = 1000) =>
  mm(label, {
    why: t('What is left behind it decides who must approve.'),
    min: 0.5,
    max,
    step: 0.5,
  });
export const across = (max = 3000) =>
  mm(t('Width across'), { why: t('At the widest, cut back to sound.'), min: 1, max });
export const length = (max = 20000) =>
  mm(t('Length'), { why: t('Along the longer side.'), min: 1, max });
export const width = (max = 10000) =>
  mm(t('Width'), { why: t('Across it.'), min: 0.1, max, step: 0.5 });
export const crackWidth = (max = 100) =>
  mm(t('Crack width'), {
    why: t('Thin resin runs into a hairline; a wide one drains.'),
    min: 0.05,
    max,
    step: 0.1,
  });

export const outside = mm(t('Outside diameter'), {
  why: t('Measure round it, or read the pipe table.'),
  min: 10,
  max: 3000,
  step: 0.1,
});
export const pressure = amount('pressure', {
  label: t('Pressure in service'),
  why: t('What holds pressure is designed for it.'),
  min: 0,
  max: 400,
  step: 0.5,
});

const FLUIDS = ['plain', 'steam', 'toxic', 'hydrocarbon'] as const;
export const fluidDanger = choice(
  FLUIDS,
  {
    plain: t('Plain liquid'),
    steam: t('Steam'),
    toxic: t('Toxic'),
    hydrocarbon: t('Hydrocarbon or gas'),
  },
  { label: t('What is in it'), why: t('High energy and toxic service is an engineer’s.') },
);
export const shutOff = flag({
  label: t('Can be shut off and drained'),
  why: t('A running leak pushes the plug out.'),
});

export const swing = amount('temperatureStep', {
  label: t('Day and night swing'),
  why: t('It moves the crack every day.'),
  follows: {
    path: 'site.outdoors',
    usual: (outdoors, site) =>
      `${(site ?? USUAL_SITE)[outdoors === 'yes' ? 'swingOutdoorsC' : 'swingIndoorsC']} °C`,
  },
  min: 0,
  max: 80,
  step: 1,
});
export const panel = mm(t('Length of slab that moves'), {
  why: t('Joint to joint: it sets the movement.'),
  min: 100,
  max: 60000,
  step: 100,
});

const TRAFFIC = ['foot', 'wheels', 'trucks'] as const;
export type Traffic = (typeof TRAFFIC)[number];
export const traffic = choice(
  TRAFFIC,
  { foot: t('Feet'), wheels: t('Trolleys, forklifts'), trucks: t('Trucks') },
  { label: t('Traffic'), why: t('It sets the strength and when it may open.') },
);

/** Wear of a floor by kind of traffic. */
export const TRAFFIC_WEAR: Record<Traffic, 'none' | 'sliding' | 'impact'> = {
  foot: 'none',
  wheels: 'sliding',
  trucks: 'impact',
};

interface Floor {
  traffic: Traffic;
  washed: boolean;
  hotWash: boolean;
  frost: Frost;
}
/** The service of a floor: its wetting, washing temperature and wear. */
export const wornFloor = (
  { traffic: by, washed, hotWash, frost }: Floor,
  { strength: { hotWashC } }: Trade,
): Partial<ServiceNeed> => ({
  medium: wettedBy(frost, washed || hotWash ? 'water' : 'air'),
  ...(hotWash ? { mediumC: hotWashC } : {}),
  wear: TRAFFIC_WEAR[by],
});

/** A body of a shape, built to a depth, with no wall behind it. */
export function body(
  title: string,
  {
    shape,
    buildMm,
    paths,
    remainingMm = null,
  }: { shape: Shape; buildMm: number; paths: string[]; remainingMm?: number | null },
): Body {
  return {
    title,
    shape,
    buildMm,
    remainingMm,
    paths,
    sandedFromMm: null,
    crack: false,
    deepens: true,
  };
}

/** A crack filled with repair material down to a working depth, and with sand below. */
export function crackBody(
  d: { lengthMm: number; widthMm: number; depthMm: number },
  i: number,
  workingMm: number,
): Body {
  const { lengthMm, widthMm } = d;
  const depthMm = Math.min(d.depthMm, workingMm);
  const shape = { kind: 'groove', lengthMm, widthMm, depthMm, profile: 'square' } as const;
  return {
    ...body(t('Crack'), {
      shape,
      buildMm: depthMm,
      paths: pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
    }),
    sandedFromMm: d.depthMm > depthMm ? d.depthMm : null,
    crack: true,
  };
}

/** The survey paths of some keys of one damage. */
export const pathsOf = (i: number, ...keys: string[]) => keys.map((key) => `damages.${i}.${key}`);

/** Bonded area, mm², for the preparation time: a rectangle grown by the usual extent. */
export const grownArea = (lengthMm: number, widthMm: number, byMm: number) =>
  (lengthMm + 2 * byMm) * (widthMm + 2 * byMm);

/** The demand of cracks, and the field of the narrowest one: the one to chase wider. */
export function crackNeed(
  damages: readonly { widthMm: number; stepMm?: number }[],
  { panelMm, swingC, wheels = false }: { panelMm: number; swingC: number; wheels?: boolean },
): { crack: CrackNeed; paths: Partial<Record<DemandFigure, string>> } {
  const widthsMm = damages.map((d) => d.widthMm);
  const narrowest = widthsMm.indexOf(Math.min(...widthsMm));
  return {
    crack: {
      widthMm: Math.max(...widthsMm),
      widthsMm,
      stepMm: Math.max(0, ...damages.map((d) => d.stepMm ?? 0)),
      wheels,
      panelLengthM: panelMm / 1000,
      swingC,
    },
    paths: { crackWidth: `damages.${narrowest}.widthMm` },
  };
}
