import { z } from 'zod';
import { line, type Worked, type WorkingLine } from '../calc/calc';
import type { AidCard, Card, SystemCard } from '../materials/card';
import { SUBSTRATE_NAMES } from '../materials/substrates';
import { HELP_NAMES, type Help } from '../materials/words';
import { QUANTITY_IDS, shownUnit, type QuantityId } from '../units/quantities';
import { drawPacks, type Drawn } from './draw';
import { closing, type Figure } from './figure';
import { amountToDraw } from './quantity';
import type { WorkUp } from './workUp';

export const DrawnPickSchema = z.strictObject({
  id: z.string(),
  label: z.string(),
  count: z.int(),
  price: z.number(),
  /** The lot on the shelf; null where it is to be bought. */
  lot: z.string().nullable(),
});

/** One thing to have at hand: how much of it, in which packs, at what price. */
export const Supply = z.strictObject({
  id: z.string(),
  code: z.string().nullable(),
  name: z.string(),
  role: z.enum(['system', 'helper', 'aid', 'plain']),
  for: z.string(),
  amount: z.number().min(0),
  quantity: z.enum(QUANTITY_IDS),
  picks: z.array(DrawnPickSchema),
  price: z.number().nullable(),
  leftover: z.number().nullable(),
  /** What becomes of what is left. */
  keep: z.string(),
});
export type Supply = z.infer<typeof Supply>;

/** What a method asks for besides its own system: an aid by area, a second material by volume, a plain thing. */
export type Need =
  | { kind: 'aid'; use: AidCard['use']; for: string; areaMm2: number; coats?: number }
  | { kind: 'help'; help: Help; for: string; ml: number; paths?: string[] }
  | {
      kind: 'plain';
      id: string;
      name: string;
      for: string;
      amount: number;
      quantity: QuantityId;
      working?: WorkingLine[];
    };

export interface Supplied {
  supplies: Supply[];
  figures: Figure[];
  /** Every card that is used, the system first: hazards and gloves come from all of them. */
  used: Card[];
}

const AID_NAMES: Record<AidCard['use'], string> = {
  degreaser: 'Degreaser',
  release: 'Release agent',
  wipe: 'Last wipe',
  primer: 'Primer',
  conditioner: 'Conditioner',
  etch: 'Etch cleaner',
};

/** The aid card for a use; null where the library has none. */
export const aidFor = (library: readonly Card[], use: AidCard['use']): AidCard | null =>
  library.find((c): c is AidCard => c.role === 'aid' && c.use === use) ?? null;

/** The second material for a task on this surface: the cheapest a millilitre; null where the library has none. */
export function helperFor(work: WorkUp, help: Help): SystemCard | null {
  const { material } = work.demand;
  const price = (c: SystemCard) => Math.min(...c.packs.map((p) => p.price / p.size));
  const able = (work.context.library ?? []).filter(
    (c): c is SystemCard =>
      c.role === 'system' &&
      c.helps.includes(help) &&
      c.code !== work.card.code &&
      c.substrates.some((s) => s.material === material),
  );
  return able.sort((p, q) => price(p) - price(q))[0] ?? null;
}

/** How a card is called in a step: by its code, or by what it does where none is at hand. */
export const aidCode = (work: WorkUp, use: AidCard['use']): string =>
  aidFor(work.context.library ?? [], use)?.code ?? AID_NAMES[use].toLowerCase();
export const helperCode = (work: WorkUp, help: Help): string =>
  helperFor(work, help)?.code ?? HELP_NAMES[help].toLowerCase();

function drawn(
  work: WorkUp,
  card: Card,
  need: number,
  given: Pick<Supply, 'id' | 'role' | 'for' | 'quantity' | 'keep'>,
  scale = 1,
): { supply: Supply; draw: Worked<Drawn> | null } {
  const lots = (work.context.shelf ?? []).filter((l) => l.cardCode === card.code);
  const draw = drawPacks(need, card.packs, lots, work.survey.window.startAt);
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

/** The unit a pack is counted in, as a quantity and what one of it is in its base unit. */
function packQuantity({ packUnit }: SystemCard): { quantity: QuantityId; scale: number } {
  if (packUnit === 'm') return { quantity: 'length', scale: 1000 };
  return { quantity: packUnit === 'piece' ? 'count' : 'volume', scale: 1 };
}

const AID_KEEP = 'Close it; it keeps.';

function aidSupply(work: WorkUp, need: Extract<Need, { kind: 'aid' }>): Supplied {
  const { use, areaMm2, coats = 1 } = need;
  const card = aidFor(work.context.library ?? [], use);
  const id = use;
  if (!card)
    return {
      supplies: [
        {
          id,
          code: null,
          name: AID_NAMES[use],
          role: 'aid',
          for: need.for,
          amount: 0,
          quantity: 'volume',
          picks: [],
          price: null,
          leftover: null,
          keep: AID_KEEP,
        },
      ],
      figures: [],
      used: [],
    };
  const ml = (areaMm2 / 1e6 / card.coverageM2L) * 1000 * coats;
  const { supply } = drawn(work, card, ml, {
    id,
    role: 'aid',
    for: need.for,
    quantity: 'volume',
    keep: AID_KEEP,
  });
  const figure: Figure = {
    id: `supply.${id}`,
    label: card.name,
    value: ml,
    quantity: 'volume',
    working: [
      line('A', need.for, 'by the survey', areaMm2 / 1e6, 'm²'),
      line('c', 'goes over', 'as on the card', card.coverageM2L, 'm²/l', `card ${card.code}`),
      line('V', card.name.toLowerCase(), `A/c·1000·${coats}`, ml, 'ml'),
    ],
    paths: [],
  };
  return { supplies: [supply], figures: [figure], used: [card] };
}

function helperSupply(work: WorkUp, need: Extract<Need, { kind: 'help' }>): Supplied {
  const { help, ml } = need;
  const card = helperFor(work, help);
  const common = { id: help, for: need.for, keep: card?.openedPack ?? '' };
  if (!card)
    return {
      supplies: [
        {
          ...common,
          code: null,
          name: HELP_NAMES[help],
          role: 'helper',
          amount: ml,
          quantity: 'volume',
          picks: [],
          price: null,
          leftover: null,
        },
      ],
      figures: [],
      used: [],
    };
  const gross = ml * (1 + card.wastePct / 100);
  const draw = amountToDraw(card, work.demand, gross, null);
  const { quantity, scale } = packQuantity(card);
  const { supply } = drawn(
    work,
    card,
    draw.ok ? draw.amount : 0,
    { ...common, role: 'helper', quantity },
    scale,
  );
  const figure: Figure = {
    id: `supply.${help}`,
    label: HELP_NAMES[help],
    value: gross,
    quantity: 'volume',
    working: [
      line('V', need.for, 'by the survey', ml, 'ml'),
      line('w', 'waste', 'as on the card', card.wastePct, '%', `card ${card.code}`),
      line('V₊', 'to have', 'V·(1 + w/100)', gross, 'ml'),
    ],
    paths: need.paths ?? [],
  };
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
  const figures: Figure[] = working
    ? [{ id: `supply.${id}`, label: name, value: amount, quantity, working, paths: [] }]
    : [];
  return { supplies: [supply], figures, used: [] };
}

/** Everything to have at hand for a job, the system first. */
export function suppliesOf(work: WorkUp, needs: readonly Need[]): Supplied {
  const { card, demand } = work;
  const { quantity, scale } = packQuantity(card);
  const system = drawn(
    work,
    card,
    work.toDraw ?? 0,
    {
      id: 'system',
      role: 'system',
      for: SUBSTRATE_NAMES[demand.material],
      quantity,
      keep: card.openedPack,
    },
    scale,
  );
  const amount = (work.toDraw ?? 0) * scale;
  const own: Figure[] = [
    {
      id: 'supply.system',
      label: card.name,
      value: amount,
      quantity,
      working: [
        line('V', 'to place', 'with overfill, waste and profile', work.grossMl, 'ml'),
        line('n', 'batches', 'whole ones are mixed; cartridges are purged', work.batches),
        line(
          'q',
          card.name.toLowerCase(),
          'in the unit of its packs',
          amount,
          shownUnit(quantity, 'metric').symbol,
          `card ${card.code}`,
        ),
      ],
      paths: work.bodies.flatMap((b) => b.body.paths),
    },
    ...(system.draw ? packFigures(system.draw, quantity, scale) : []),
  ];
  const rest = needs.map((need) =>
    need.kind === 'aid'
      ? aidSupply(work, need)
      : need.kind === 'help'
        ? helperSupply(work, need)
        : plainSupply(need),
  );
  return {
    supplies: [system.supply, ...rest.flatMap((r) => r.supplies)],
    figures: [...own, ...rest.flatMap((r) => r.figures)],
    used: [card, ...rest.flatMap((r) => r.used)],
  };
}

function packFigures(draw: Worked<Drawn>, quantity: QuantityId, scale: number): Figure[] {
  const end = closing(draw.working);
  const count = draw.picks.reduce((n, p) => n + p.count, 0);
  return [
    {
      id: 'packs',
      label: 'Packs to draw',
      value: count,
      quantity: 'count',
      working: end('', 'packs', count),
      paths: [],
    },
    {
      id: 'packCost',
      label: 'Material',
      value: draw.price,
      quantity: 'money',
      working: end('', 'material', draw.price),
      paths: [],
    },
    {
      id: 'leftover',
      label: 'Left over',
      value: draw.leftover * scale,
      quantity,
      working: end('', 'left over', draw.leftover),
      paths: [],
    },
  ];
}
