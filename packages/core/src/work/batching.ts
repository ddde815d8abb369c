import { tradeAt } from '../trade/trade';
import { t } from '../text/text';
import { line, type Answer, type WorkingLine } from '../calc/calc';
import { cureTime } from '../cure/cureTime';
import { massStretch } from '../cure/workingLife';
import { mixedDensity, type SystemCard } from '../materials/card';
import { batchPlan } from '../mix/batchPlan';
import { kitPick, MOST_PACKS } from '../mix/kitPick';
import { m, celsius, minutes as min, type Message } from '../message/message';
import type { SiteSettings } from '../site/site';

/** One action with a batch within its working life: fixed minutes, a share of placing, or a part of a total. */
export interface Touch {
  name: string;
  fixed?: number;
  /** Share of the minutes for placing the batch. */
  placing?: number;
  /** Minutes for the whole round, divided by volume: at the ports, drop by drop. */
  spread?: number;
}

/** A batch as made. */
export interface MadeBatch {
  /** Mixed volume, and its placed part: of a last whole pack the rest is left over. ml. */
  ml: number;
  placedMl: number;
  lifeMin: number;
}

export interface Batching {
  batches: MadeBatch[];
  /** Placing rate with its people, ml per minute. */
  paceMlPerMin: number;
  /** People beyond the usual crew. */
  moreHands: number;
  /** The temperature that the parts are cooled to before mixing, °C; null: not cooled. */
  pailC: number | null;
  /** What was changed so that it is placed in time, as a condition without a full stop. */
  chose: Message | null;
  /** Why it cannot be done at all. */
  problem: Message | null;
  working: () => WorkingLine[];
}

/** Steps by which parts can be cooled before mixing, °C. */
const COOLER_C = [5, 10, 15];
const EPS = 1e-9;

interface Ask {
  card: SystemCard;
  site: SiteSettings;
  totalMl: number;
  tempC: number;
  touches: readonly Touch[];
  /** All of it must be one batch. */
  whole: boolean;
  /** What is opened at once, if not limited by the vessel, ml. */
  mostMl: number | null;
  /** Packs are mixed whole. */
  kits: boolean;
}

const sum = (touches: readonly Touch[], of: (t: Touch) => number | undefined) =>
  touches.reduce((s, t) => s + (of(t) ?? 0), 0);

/** Minutes of one action for a batch. */
export const touchMinutes = ({
  touch,
  ml,
  totalMl,
  pace,
}: {
  touch: Touch;
  ml: number;
  totalMl: number;
  pace: number;
}): number =>
  (touch.fixed ?? 0) +
  ((touch.placing ?? 0) * ml) / pace +
  (totalMl > 0 ? ((touch.spread ?? 0) * ml) / totalMl : 0);

/** Minutes of all actions with a batch. */
export const touchedFor = ({
  touches,
  ml,
  totalMl,
  pace,
}: {
  touches: readonly Touch[];
  ml: number;
  totalMl: number;
  pace: number;
}): number => touches.reduce((s, t) => s + touchMinutes({ touch: t, ml, totalMl, pace }), 0);

/** What is mixed or opened at once: the site’s bucket, its mortar tub, or the pack itself, ml placed. */
function vesselMl(card: SystemCard, site: SiteSettings): number {
  const pack = Math.max(...card.packs.map((p) => p.size));
  switch (card.mix.kind) {
    case 'powder-water':
    case 'crumb':
      return site.mortarVesselMl * site.vesselFill;
    case 'single':
    case 'light-cured':
      return card.packUnit === 'ml' ? pack : site.vesselMl * site.vesselFill;
    default:
      return site.vesselMl * site.vesselFill;
  }
}

function lifeAt(card: SystemCard, tempC: number): Answer<{ minutes: number }> {
  const points = card.cure.milestones.life ?? [{ tempC: 20, minutes: 1e6 }];
  return cureTime({ points, tempC });
}

const lifeOf = (card: SystemCard, base: number, ml: number): number =>
  base * massStretch(ml * mixedDensity(card), card.cure.refMassG, card.cure.massExponent);

type Tried = Pick<Batching, 'batches' | 'working'> | { why: Message };

/** Whole packs: the cheapest that cover it and can each be placed in time. */
function byKits(ask: Ask, base: number, pace: number): Tried {
  const { card, site, totalMl, touches } = ask;
  const purge = card.mix.kind === 'cartridge' ? card.mix.purgeMl : 0;
  const able = card.packs.filter((p) => {
    const ml = p.size - purge;
    return (
      ml > 0 &&
      touchedFor({ touches, ml: Math.min(ml, totalMl), totalMl, pace }) <=
        site.useFraction * lifeOf(card, base, ml) + EPS
    );
  });
  if (able.length === 0) {
    const [least] = card.packs
      .map((p) => p.size - purge)
      .filter((ml) => ml > 0)
      .sort((a, b) => a - b);
    if (least === undefined)
      return { why: m('No pack of it holds more than its nozzle keeps back.') };
    return {
      why: m('A whole pack takes {takes} to place; {use} of its life can be used.', {
        takes: min(touchedFor({ touches, ml: Math.min(least, totalMl), totalMl, pace })),
        use: min(site.useFraction * lifeOf(card, base, least)),
      }),
    };
  }
  const kits = able.map((p) => ({ id: p.id, ml: p.size - purge, price: p.price }));
  const picked = kitPick({ neededMl: totalMl, kits, maxPacks: MOST_PACKS });
  if (!picked.ok) return { why: m(picked.why) };
  const sizes = picked.picks
    .flatMap(({ id, count }) => Array<number>(count).fill(kits.find((k) => k.id === id)?.ml ?? 0))
    .sort((a, b) => b - a);
  let wanted = totalMl;
  const batches = sizes.map((ml): MadeBatch => {
    const placedMl = Math.min(ml, wanted);
    wanted -= placedMl;
    return { ml, placedMl, lifeMin: lifeOf(card, base, ml) };
  });
  return {
    batches,
    working: () => picked.working,
  };
}

function byVessel({
  ask,
  base,
  tempC,
  pace,
}: {
  ask: Ask;
  base: number;
  tempC: number;
  pace: number;
}): Tried {
  const { card, site, totalMl, touches, whole } = ask;
  const { cure } = card;
  const perMl = sum(touches, (t) => t.placing) / pace + sum(touches, (t) => t.spread) / totalMl;
  const fixed = sum(touches, (t) => t.fixed);
  const cap = ask.mostMl ?? vesselMl(card, site);
  const made = batchPlan({
    totalMl,
    densityGml: mixedDensity(card),
    lifePoints: cure.milestones.life ?? [{ tempC: 20, minutes: 1e6 }],
    tempC,
    refMassG: cure.refMassG,
    massExponent: cure.massExponent,
    mixMinutes: fixed,
    useFraction: site.useFraction,
    applyMlPerMin: perMl > 0 ? 1 / perMl : 1e9,
    vesselMl: whole ? Math.max(cap, totalMl) : cap,
    vesselFill: 1,
  });
  // There is time for a small one, but too many would be needed.
  if (!made.ok && fixed < site.useFraction * base) return { why: m(made.why) };
  if (!made.ok)
    return {
      why: m('Mixing and handling take {fixed} by themselves; {use} of {life} can be used.', {
        fixed: min(fixed),
        use: min(site.useFraction * base),
        life: min(base),
      }),
    };
  if (whole && made.batches > 1)
    return {
      why: m('One batch must do it all: that takes {takes}; {use} of its life can be used.', {
        takes: min(touchedFor({ touches, ml: totalMl, totalMl, pace })),
        use: min(site.useFraction * lifeOf(card, base, totalMl)),
      }),
    };
  return {
    batches: Array.from({ length: made.batches }, () => ({
      ml: made.batchMl,
      placedMl: made.batchMl,
      lifeMin: made.batchLifeMin,
    })),
    working: () => made.working,
  };
}

/**
 * Splits a round into batches that can each be placed within the usable share of their working life, including
 * everything done with them. Tries, in this order: smaller batches, more people, cooler parts if the card allows; says
 * what it chose, or why nothing works. Volumes in ml placed, temperatures in °C.
 */
export function batching(ask: Ask): Batching {
  const { card, site, tempC, totalMl } = ask;
  const pace0 = card.applyMlPerMin;
  const nothing: Batching = {
    batches: [],
    paceMlPerMin: pace0,
    moreHands: 0,
    pailC: null,
    chose: null,
    problem: null,
    working: () => [
      line({ symbol: 'V', label: t('to mix'), expression: t('none'), value: 0, unit: 'ml' }),
    ],
  };
  if (totalMl <= 0) return nothing;
  const attempt = (moreHands: number, pailC: number): Batching | { why: Message } => {
    const life = lifeAt(card, pailC);
    if (!life.ok) return { why: m(life.why) };
    const pace = pace0 * (1 + tradeAt(site).pace.moreHands * moreHands);
    const tried = ask.kits
      ? byKits(ask, life.minutes, pace)
      : byVessel({ ask, base: life.minutes, tempC: pailC, pace });
    if ('why' in tried) return tried;
    const cooled = pailC < tempC;
    const chose =
      moreHands === 0 && !cooled
        ? null
        : m(
            '{hands, plural, =0 {} one {one more person} other {# more people}}{both, select, yes { and } other {}}{cooled, select, yes {parts cooled to {pail} before mixing} other {}}, to place it in its working life',
            {
              hands: moreHands,
              cooled: cooled ? 'yes' : 'no',
              both: cooled && moreHands > 0 ? 'yes' : 'no',
              pail: celsius(pailC),
            },
          );
    return {
      ...nothing,
      ...tried,
      paceMlPerMin: pace,
      moreHands,
      pailC: pailC < tempC ? pailC : null,
      chose,
    };
  };
  const plain = attempt(0, tempC);
  if (!('why' in plain)) return plain;
  const spare = Math.max(0, Math.min(2, site.crew - 2));
  const cooler = COOLER_C.map((c) => tempC - c).filter((c) => c >= card.ambient.minSurfaceC);
  const ways: [number, number][] = [
    ...Array.from({ length: spare }, (_, i): [number, number] => [i + 1, tempC]),
    ...cooler.map((c): [number, number] => [Math.min(1, spare), c]),
  ];
  for (const [hands, pail] of ways) {
    const made = attempt(hands, pail);
    if (!('why' in made)) return made;
  }
  return {
    ...nothing,
    // The figures of the first try, so that the refusal can be shown beside them.
    batches: [{ ml: totalMl, placedMl: totalMl, lifeMin: 0 }],
    problem: plain.why,
  };
}
