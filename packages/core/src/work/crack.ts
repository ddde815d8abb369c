import type { Shape } from '../geometry/shapeVolume';
import { fillKind, type SystemCard } from '../materials/card';

/** A finer crack is not opened: thin resin flows in by itself, mm. */
const HAIRLINE_MM = 1;
/** A chase removes this from each wall, so that the resin meets clean concrete, mm. */
const WALL_OFF_MM = 1;
/** Width for a tool to break a crack out to full depth, mm. */
const BREAK_OUT_MM = 40;

/** How a crack is opened for a card, which decides what is filled. */
export type CrackRoute = 'run-in' | 'chase' | 'break-out' | 'bead';

/** How a crack of a width is filled with a card. */
export function crackRoute(card: SystemCard, widthMm: number): CrackRoute {
  if (card.mix.kind === 'powder-water') return 'break-out';
  if (fillKind(card) === 'flexible') return 'bead';
  return widthMm <= HAIRLINE_MM ? 'run-in' : 'chase';
}

type Groove = Extract<Shape, { kind: 'groove' }>;

/**
 * The filled groove, mm: opened by its route and never shallower than the card's least depth; a bead over a backing rod
 * is half as deep as wide.
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
