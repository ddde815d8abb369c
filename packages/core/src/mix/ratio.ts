import { t } from '../text/text';
import { z } from 'zod';
import { named } from '../calc/field';
import { positive } from '../calc/number';

/** Mix ratio, a parts of base to b of hardener, as the card states it. */
export const Ratio = z.strictObject({
  a: positive().meta(named(t('Parts of base'))),
  b: positive().meta(named(t('Parts of hardener'))),
  by: z.enum(['volume', 'mass']).meta(named(t('Ratio by'))),
});
export type Ratio = z.infer<typeof Ratio>;

/** A stated ratio as parts of a to one of b, by volume and by mass. Densities in g/ml. */
export function bothRatios(
  ratio: Ratio,
  densityA: number,
  densityB: number,
): { byVolume: number; byMass: number } {
  const stated = ratio.a / ratio.b;
  const heavier = densityA / densityB;
  return ratio.by === 'volume'
    ? { byVolume: stated, byMass: stated * heavier }
    : { byVolume: stated / heavier, byMass: stated };
}
