import type { Trade } from '../trade/trade';
import type { Shape } from '../geometry/shapeVolume';
import { fillKind, type SystemCard } from '../materials/card';

/** How a crack is opened for a card, which decides what is filled. */
export type CrackRoute = 'run-in' | 'chase' | 'break-out' | 'bead';

/** How a crack of a width is filled with a card. */
export function crackRoute(card: SystemCard, widthMm: number, { concrete }: Trade): CrackRoute {
  if (card.mix.kind === 'powder-water') return 'break-out';
  if (fillKind(card) === 'flexible') return 'bead';
  return widthMm <= concrete.hairlineMm ? 'run-in' : 'chase';
}

type Groove = Extract<Shape, { kind: 'groove' }>;

/**
 * The filled groove, mm: opened by its route and never shallower than the card's least depth; a bead over a backing rod
 * is half as deep as wide.
 */
export function openedCrack(groove: Groove, card: SystemCard, trade: Trade): Groove {
  const { widthMm, depthMm } = groove;
  const least = card.layer.minMm;
  switch (crackRoute(card, widthMm, trade)) {
    case 'run-in':
      return groove;
    case 'bead':
      return { ...groove, depthMm: Math.max(widthMm / 2, Math.min(least, depthMm)) };
    case 'break-out':
      return {
        ...groove,
        widthMm: Math.max(widthMm, trade.concrete.breakOutMm),
        depthMm: Math.max(depthMm, least),
      };
    case 'chase':
      return {
        ...groove,
        widthMm: widthMm + 2 * trade.concrete.wallOffMm,
        depthMm: Math.max(depthMm, least),
      };
  }
}
