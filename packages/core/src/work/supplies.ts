import { t } from '../text/text';
import { z } from 'zod';
import { formatFigure, line, type Worked, type WorkingLine } from '../calc/calc';
import { AID_NAMES, type AidUse, type Card, type SystemCard } from '../materials/card';
import { m, MessageSchema, type Message } from '../message/message';
import { QUANTITY_IDS, shownUnit, type QuantityId } from '../units/quantities';
import { drawPacks, type Drawn } from './draw';
import { closing, figureOf, type Figure } from './figure';
import type { Round } from './round';
import { aidFor, type AidPlace } from './aids';

const DrawnPickSchema = z.strictObject({
  id: z.string(),
  label: z.string(),
  count: z.int(),
  price: z.number(),
  /** The lot on the shelf; null if it must be bought. */
  lot: z.string().nullable(),
});

export const SUPPLY_ROLES = ['system', 'second', 'aid', 'plain'] as const;

/** One supply: its amount, packs and price. */
export const Supply = z.strictObject({
  id: z.string(),
  code: z.string().nullable(),
  name: z.string(),
  role: z.enum(SUPPLY_ROLES),
  for: MessageSchema,
  amount: z.number().min(0),
  quantity: z.enum(QUANTITY_IDS),
  picks: z.array(DrawnPickSchema),
  price: z.number().nullable(),
  leftover: z.number().nullable(),
  /** What to do with the leftover. */
  keep: z.string(),
});
export type Supply = z.infer<typeof Supply>;

/** Needs of a method besides its rounds: an aid by area, or an ordinary item. */
export type Need =
  | { kind: 'aid'; use: AidUse; for: Message; areaMm2: number; coats?: number }
  | {
      kind: 'plain';
      id: string;
      name: string;
      for: Message;
      amount: number;
      quantity: QuantityId;
      working?: WorkingLine[];
    };

export interface Supplied {
  supplies: Supply[];
  figures: Figure[];
  /** Every card in use, the system first: hazards and gloves come from all of them. */
  used: Card[];
}

/** The unit of a pack: its quantity, and one unit in the base unit. */
export function packQuantity({ packUnit }: SystemCard): { quantity: QuantityId; scale: number } {
  if (packUnit === 'm') return { quantity: 'run', scale: 1000 };
  return { quantity: packUnit === 'piece' ? 'count' : 'volume', scale: 1 };
}

function drawn(
  { context, survey }: AidPlace,
  {
    card,
    need,
    given,
    scale = 1,
    packIds,
  }: {
    card: Card;
    need: number;
    given: Pick<Supply, 'id' | 'role' | 'for' | 'quantity' | 'keep'>;
    scale?: number;
    packIds?: readonly string[];
  },
): { supply: Supply; draw: Worked<Drawn> | null } {
  const packs = packIds ? card.packs.filter((p) => packIds.includes(p.id)) : card.packs;
  const lots = (context.shelf ?? []).filter((l) => l.cardCode === card.code);
  const draw = drawPacks({ need, packs, lots, at: survey.window.startAt });
  return {
    draw: draw.ok ? draw : null,
    supply: {
      ...given,
      code: card.code,
      name: card.name,
      amount: need * scale,
      picks: draw.ok ? draw.picks : [],
      price: draw.ok ? draw.price : null,
      leftover: draw.ok ? draw.leftover * scale : null,
    },
  };
}

const AID_KEEP = t('Close it; it keeps.');

function aidSupply(place: AidPlace, need: Extract<Need, { kind: 'aid' }>): Supplied {
  const { use, areaMm2, coats = 1 } = need;
  const card = aidFor(place, use);
  const given = {
    id: use,
    role: 'aid',
    for: need.for,
    quantity: 'volume',
    keep: AID_KEEP,
  } as const;
  if (!card)
    return {
      supplies: [
        {
          ...given,
          quantity: 'area',
          code: null,
          name: AID_NAMES[use],
          amount: areaMm2 * coats,
          picks: [],
          price: null,
          leftover: null,
        },
      ],
      // No card says how far it goes: the area to buy for is shown.
      figures: [
        figureOf({
          id: `supply.${use}`,
          label: AID_NAMES[use],
          value: areaMm2 * coats,
          quantity: 'area',
          working: [
            line({
              symbol: 'A',
              label: AID_NAMES[use].toLowerCase(),
              expression: t('by the survey, {coats}×', { coats }),
              value: areaMm2 * coats,
              unit: 'mm²',
            }),
          ],
        }),
      ],
      used: [],
    };
  const ml = (areaMm2 / 1e6 / card.coverageM2L) * 1000 * coats;
  const { supply } = drawn(place, { card, need: ml, given });
  const figure = figureOf({
    id: `supply.${use}`,
    label: card.name,
    value: ml,
    quantity: 'volume',
    working: [
      line({
        symbol: 'A',
        label: AID_NAMES[use].toLowerCase(),
        expression: t('by the survey'),
        value: areaMm2 / 1e6,
        unit: 'm²',
      }),
      line({
        symbol: 'c',
        label: t('goes over'),
        expression: t('as on the card'),
        value: card.coverageM2L,
        unit: 'm²/l',
        source: `card ${card.code}`,
      }),
      line({
        symbol: 'V',
        label: card.name.toLowerCase(),
        expression: `A/c·1000·${coats}`,
        value: ml,
        unit: 'ml',
      }),
    ],
  });
  return { supplies: [supply], figures: [figure], used: [card] };
}

function plainSupply(need: Extract<Need, { kind: 'plain' }>): Supplied {
  const { id, name, amount, quantity, working } = need;
  const supply: Supply = {
    id,
    code: null,
    name,
    role: 'plain',
    for: need.for,
    amount,
    quantity,
    picks: [],
    price: null,
    leftover: null,
    keep: '',
  };
  return {
    supplies: [supply],
    figures: working
      ? [figureOf({ id: `supply.${id}`, label: name, value: amount, quantity, working })]
      : [],
    used: [],
  };
}

/** One card of the job with all its rounds: drawn together. */
function cardSupply(place: AidPlace, rounds: readonly Round[], main: SystemCard): Supplied {
  const [first] = rounds as [Round, ...Round[]];
  const { card } = first;
  const { quantity, scale } = packQuantity(card);
  const need = rounds.reduce((s, r) => s + r.draw, 0);
  const role = card.code === main.code ? ('system' as const) : ('second' as const);
  const titles = rounds.map((r) => r.title);
  const { supply, draw } = drawn(place, {
    card,
    need,
    given: {
      id: card.code,
      role,
      for: m('{rounds}', { rounds: titles }),
      quantity,
      keep: card.openedPack,
    },
    scale,
    packIds: first.packIds,
  });
  const amount = need * scale;
  const each = rounds.map((r) =>
    line({
      symbol: 'V',
      label:
        r.batches.length > 1
          ? t('in {batches} batches', { batches: r.batches.length })
          : t('in one batch'),
      expression: t('with what stays on the tools'),
      value: r.mixMl,
      unit: 'ml',
    }),
  );
  const figures = [
    figureOf({
      id: `supply.${card.code}`,
      label: card.name,
      value: amount,
      quantity,
      working: [
        ...each,
        line({
          symbol: 'q',
          label: card.name.toLowerCase(),
          expression: t('in the unit of its packs'),
          value: amount,
          unit: shownUnit(quantity, 'metric').symbol,
          source: `card ${card.code}`,
        }),
      ],
      paths: rounds.flatMap((r) => [...r.paths]),
    }),
    ...(draw && role === 'system' ? packFigures(draw, quantity, scale) : []),
  ];
  return { supplies: [supply], figures, used: [card] };
}

function packFigures(draw: Worked<Drawn>, quantity: QuantityId, scale: number): Figure[] {
  const end = closing(draw.working);
  const count = draw.picks.reduce((n, p) => n + p.count, 0);
  return [
    figureOf({
      id: 'packs',
      label: t('Packs to draw'),
      value: count,
      quantity: 'count',
      working: end({ symbol: '', label: t('packs'), value: count }),
    }),
    figureOf({
      id: 'packCost',
      label: t('Material'),
      value: draw.price,
      quantity: 'money',
      working: end({ symbol: '', label: t('material'), value: draw.price }),
    }),
    figureOf({
      id: 'leftover',
      label: t('Left over'),
      value: draw.leftover * scale,
      quantity,
      working: end({
        symbol: '',
        label: t('left over, of {total}', { total: formatFigure(draw.total * scale) }),
        value: draw.leftover * scale,
      }),
    }),
  ];
}

/** All supplies of a job, the system first, then in order of use. */
export function suppliesOf(
  place: AidPlace,
  { main, rounds, needs }: { main: SystemCard; rounds: readonly Round[]; needs: readonly Need[] },
): Supplied {
  const codes = [...new Set([main.code, ...rounds.map((r) => r.card.code)])];
  const parts = [
    ...codes.flatMap((code) => {
      const own = rounds.filter((r) => r.card.code === code);
      return own.length > 0 ? [cardSupply(place, own, main)] : [];
    }),
    ...needs.map((need) => (need.kind === 'aid' ? aidSupply(place, need) : plainSupply(need))),
  ];
  return {
    supplies: parts.flatMap((p) => p.supplies),
    figures: parts.flatMap((p) => p.figures),
    used: parts.flatMap((p) => p.used),
  };
}
