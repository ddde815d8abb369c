import { systemCards } from './cards/index';
import { aidCards } from './cards/aids';

export interface DemoLot {
  cardCode: string;
  packId: string;
  lot: string;
  /** Days from the seeding to the expiry date; some are expired on purpose. */
  daysLeft: number;
  count: number;
}

/** Not on the demo shelf: expensive, rare, or for the licensed shop. */
const NOT_KEPT = ['W-350', 'T-540', 'R-260', 'X-850', 'C-630'];

/** A realistic shelf: two lots of much-used cards, one of the others, one expired. */
export const demoLots: DemoLot[] = [...systemCards, ...aidCards]
  .filter((c) => !NOT_KEPT.includes(c.code))
  .flatMap((c, i): DemoLot[] => {
    const [small, large] = [c.packs[0], c.packs.at(-1)];
    if (!small || !large) return [];
    const lot = (n: number) =>
      `${c.code.replace('-', '')}-${25 + (i % 2)}${10 + ((i * 7 + n) % 80)}`;
    const many = small.size < 100 || c.role === 'aid' ? 6 : 3;
    return [
      {
        cardCode: c.code,
        packId: small.id,
        lot: lot(1),
        daysLeft: 40 + ((i * 37) % 300),
        count: many,
      },
      ...(i % 3 === 0
        ? [{ cardCode: c.code, packId: large.id, lot: lot(2), daysLeft: 200 + i * 5, count: 2 }]
        : []),
      ...(c.code === 'R-210'
        ? [{ cardCode: c.code, packId: small.id, lot: lot(3), daysLeft: -25, count: 2 }]
        : []),
    ];
  });
