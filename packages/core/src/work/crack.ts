import type { Shape } from '../geometry/shapeVolume';
import { fillKind, type SystemCard } from '../materials/card';

/** Finer than this a crack is not opened: thin resin runs in by itself, mm. */
const HAIRLINE_MM = 1;
/** A chase takes this off each wall, so that the resin finds clean ones, mm. */
const WALL_OFF_MM = 1;
/** A tool must go in to break a crack out to full depth, mm. */
const BREAK_OUT_MM = 40;

/** How a crack is opened for a card, and so what is really filled. */
export type CrackRoute = 'run-in' | 'chase' | 'break-out' | 'bead';

/** Which way a crack of a width is filled with a card. */
export function crackRoute(card: SystemCard, widthMm: number): CrackRoute {
  if (card.mix.kind === 'powder-water') return 'break-out';
  if (fillKind(card) === 'flexible') return 'bead';
  return widthMm <= HAIRLINE_MM ? 'run-in' : 'chase';
}

type Groove = Extract<Shape, { kind: 'groove' }>;

/**
 * The groove that is filled, mm: opened as its route opens it and never shallower than the card holds; a bead over a
 * backing rod is half as deep as it is wide.
 */
export function openedCrack(groove: Groove, card: SystemCard): Groove {
  const { widthMm, depthMm } = groove;
  const least = card.layer.minMm;
  switch (crackRoute(card, widthMm)) {
    case 'run-in':
      return groove;
    case 'bead':
      return { ...groove, depthMm: Math.max(widthMm / 2, Math.min(least, depthMm)) };
    case 'break-out':
      return {
        ...groove,
        widthMm: Math.max(widthMm, BREAK_OUT_MM),
        depthMm: Math.max(depthMm, least),
      };
    case 'chase':
      return { ...groove, widthMm: widthMm + 2 * WALL_OFF_MM, depthMm: Math.max(depthMm, least) };
  }
}
