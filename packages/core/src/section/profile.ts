import type { RebuildDamage } from '../survey/f2';
import { say } from '../units/format';
import type { SectionRequest } from './drawing';

/** What a rebuild section needs to know of its damage, whichever shape it has. Sizes in mm, texts as lettered. */
export interface Profile {
  named: string;
  acrossMm: number;
  depthMm: number;
  wallMm: number | null;
  dished: boolean;
  /** A bore is drawn hanging from the metal above it. */
  hanging: boolean;
  across: string;
  depth: string;
  wall: string;
  left: string;
  notes: string[];
}

/** Reads a damage for drawing. Sizes not known yet are lettered “?”; impossible pairs are held at what can be drawn. */
export function profileOf(damage: RebuildDamage, { system, unknown }: SectionRequest): Profile {
  const text = (x: number, ...keys: string[]): string =>
    keys.some((key) => unknown.includes(key))
      ? '?'
      : say(x, 'length', system).replace(/ (mm|in)$/, '');
  if (damage.shape === 'pocket' || damage.shape === 'flat') {
    const { wallMm } = damage;
    const depthMm = Math.min(damage.depthMm, wallMm * 0.96);
    const dished = damage.shape === 'pocket';
    const across = dished
      ? text(damage.diameterMm, 'diameterMm')
      : `${text(damage.lengthMm, 'lengthMm')} × ${text(damage.widthMm, 'widthMm')}`;
    return {
      named: dished ? 'Round pocket' : 'Flat area',
      acrossMm: dished ? damage.diameterMm : damage.lengthMm,
      depthMm,
      wallMm,
      dished,
      hanging: false,
      across,
      depth: text(damage.depthMm, 'depthMm'),
      wall: text(wallMm, 'wallMm'),
      left: text(Math.max(0, wallMm - damage.depthMm), 'wallMm', 'depthMm'),
      notes: [],
    };
  }
  const { finishedDiameterMm, wornDiameterMm, lengthMm } = damage;
  const depthMm = Math.max(0.05, Math.abs(finishedDiameterMm - wornDiameterMm) / 2);
  return {
    named: damage.shape === 'seat' ? 'Shaft seat' : 'Bore',
    acrossMm: lengthMm,
    depthMm,
    wallMm: null,
    dished: false,
    hanging: damage.shape === 'bore',
    across: text(lengthMm, 'lengthMm'),
    depth: text(depthMm, 'finishedDiameterMm', 'wornDiameterMm'),
    wall: '',
    left: '',
    notes: [
      `finished ⌀ ${text(finishedDiameterMm, 'finishedDiameterMm')}`,
      `worn ⌀ ${text(wornDiameterMm, 'wornDiameterMm')}`,
    ],
  };
}
