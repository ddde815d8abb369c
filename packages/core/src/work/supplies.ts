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
  card: Card,
  need: number,
  given: Pick<Supply, 'id' | 'role' | 'for' | 'quantity' | 'keep'>,
  scale = 1,
  packIds?: readonly string[],
): { supply: Supply; draw: Worked<Drawn> | null } {
  const packs = packIds ? card.packs.filter((p) => packIds.includes(p.id)) : card.packs;
  const lots = (context.shelf ?? []).filter((l) => l.cardCode === card.code);
  const draw = drawPacks(need, packs, lots, survey.window.startAt);
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
        figureOf(`supply.${use}`, AID_NAMES[use], areaMm2 * coats, 'area', [
          line(
            'A',
            AID_NAMES[use].toLowerCase(),
            t('by the survey, {coats}×', { coats }),
            areaMm2 * coats,
            'mm²',
          ),
        ]),
      ],
      used: [],
    };
  const ml = (areaMm2 / 1e6 / card.coverageM2L) * 1000 * coats;
  const { supply } = drawn(place, card, ml, given);
  const figure = figureOf(`supply.${use}`, card.name, ml, 'volume', [
    line('A', AID_NAMES[use].toLowerCase(), t('by the survey'), areaMm2 / 1e6, 'm²'),
    line('c', t('goes over'), t('as on the card'), card.coverageM2L, 'm²/l', `card ${card.code}`),
    line('V', card.name.toLowerCase(), `A/c·1000·${coats}`, ml, 'ml'),
  ]);
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
    figures: working ? [figureOf(`supply.${id}`, name, amount, quantity, working)] : [],
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
  const { supply, draw } = drawn(
    place,
    card,
    need,
    {
      id: card.code,
      role,
      for: m('{rounds}', { rounds: titles }),
      quantity,
      keep: card.openedPack,
    },
    scale,
    first.packIds,
  );
  const amount = need * scale;
  const each = rounds.map((r) =>
    line(
      'V',
      r.batches.length > 1
        ? t('in {batches} batches', { batches: r.batches.length })
        : t('in one batch'),
      t('with what stays on the tools'),
      r.mixMl,
      'ml',
    ),
  );
  const figures = [
    figureOf(
      `supply.${card.code}`,
      card.name,
      amount,
      quantity,
      [
        ...each,
        line(
          'q',
          card.name.toLowerCase(),
          t('in the unit of its packs'),
          amount,
          shownUnit(quantity, 'metric').symbol,
          `card ${card.code}`,
        ),
      ],
      rounds.flatMap((r) => [...r.paths]),
    ),
    ...(draw && role === 'system' ? packFigures(draw, quantity, scale) : []),
  ];
  return { supplies: [supply], figures, used: [card] };
}

function packFigures(draw: Worked<Drawn>, quantity: QuantityId, scale: number): Figure[] {
  const end = closing(draw.working);
  const count = draw.picks.reduce((n, p) => n + p.count, 0);
  return [
    figureOf('packs', t('Packs to draw'), count, 'count', end('', t('packs'), count)),
    figureOf('packCost', t('Material'), draw.price, 'money', end('', t('material'), draw.price)),
    figureOf(
      'leftover',
      t('Left over'),
      draw.leftover * scale,
      quantity,
      end(
        '',
        t('left over, of {total}', { total: formatFigure(draw.total * scale) }),
        draw.leftover * scale,
      ),
    ),
  ];
}

/** All supplies of a job, the system first, then in order of use. */
export function suppliesOf(
  place: AidPlace,
  main: SystemCard,
  rounds: readonly Round[],
  needs: readonly Need[],
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
