import type { Trade } from '../trade/trade';
import { t } from '../text/text';
import { m, q } from '../message/message';
import type { Medium } from '../materials/words';
import { FITTINGS } from './demand';
import type { RefusalReason, RouteCondition } from './refusal';
import type { z } from 'zod';
import { pressureFields } from './forgotten';
import { amountIfKnown, laterChoice, laterFlag, type SchemasOf } from './fields';
import { fluidDanger, pressure, shutOff } from './parts';

/** Questions about a pipeline, for every family that wraps it. */
export const lineFields = {
  pressureBar: pressure,
  shutOff,
  fluid: fluidDanger,
  at: laterChoice(
    FITTINGS,
    { straight: t('Straight pipe'), elbow: t('An elbow'), tee: t('A tee or branch') },
    {
      label: t('Where on the line'),
      why: t('Bends and branches take more tape for the same rating.'),
    },
  ),
  straightMm: amountIfKnown('length', {
    label: t('Clear length beside it, the shorter side'),
    why: t('The wrap needs its overlap on both sides. Empty if nobody measured.'),
    min: 0,
    max: 10_000,
    step: 10,
  }),
  buried: laterFlag({
    label: t('It lies in the ground'),
    why: t('It is dug free all round first.'),
  }),
  ...pressureFields,
};
export type Line = z.output<z.ZodObject<SchemasOf<typeof lineFields>>>;

/** The conditions of the line. */
export const lineConditions = ({ buried }: Pick<Line, 'buried'>): RouteCondition[] =>
  buried
    ? [
        {
          id: 'buried',
          condition: m('it is dug free in a dry, shored trench'),
          because: m('It lies in the ground: a wrap goes right round, and the cure wants it open.'),
        },
      ]
    : [];

/** Service that needs a pressure engineer whatever the material. */
export function lineRefusals(
  { fluid, shutOff: off, pressureBar }: Pick<Line, 'fluid' | 'shutOff' | 'pressureBar'>,
  { medium }: { medium: Medium },
  { strength: { gasBar } }: Trade,
): RefusalReason[] {
  return [
    ...(medium === 'air' && pressureBar > gasBar
      ? [
          {
            id: 'gas',
            because: m(
              'It holds gas at {got}: from {from} on that is stored energy, and no plain liquid.',
              { got: q(pressureBar, 'pressure'), from: q(gasBar, 'pressure') },
            ),
            who: 'pressure-engineer' as const,
          },
        ]
      : []),
    ...(fluid === 'plain'
      ? []
      : [
          {
            id: 'fluid',
            because: m('Steam, toxic or hydrocarbon service is past a bonded repair done on site.'),
            who: 'pressure-engineer' as const,
          },
        ]),
    ...(off
      ? []
      : [
          {
            id: 'running',
            because: m(
              'It cannot be shut off: reduce the pressure and plug it first, to an engineer’s plan.',
            ),
            who: 'pressure-engineer' as const,
          },
        ]),
  ];
}
