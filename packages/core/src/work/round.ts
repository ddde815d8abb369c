import { t } from '../text/text';
import { formatFigure, line, type Answer, type WorkingLine } from '../calc/calc';
import { cureClock } from '../cure/cureClock';
import { cureTime } from '../cure/cureTime';
import { type SystemCard } from '../materials/card';
import { MILESTONES, type MilestoneId, type Needed } from '../materials/milestones';
import type { Purpose } from '../materials/words';
import type { Message } from '../message/message';
import type { SiteSettings } from '../site/site';
import { batching, type Batching, type Touch } from './batching';
import { closing } from './figure';
import { litresPerBag, partsFor, type Consistency } from './weighing';
import type { Schools } from './schools';
import type { SurveyBase } from '../survey/common';

/** What a round needs besides the survey and a card. */
export interface RoundBase {
  survey: SurveyBase;
  site: SiteSettings;
  schools: Schools;
  /** Surface temperature for mixing and cure, °C: held, or as measured. */
  tempC: number;
  /** Future surface temperatures, minutes from the start of the stop; null if held or under a roof. */
  forecast: readonly { atMin: number; tempC: number }[] | null;
}

/** A condition of a second material, and its rule. */
export interface SecondTerm {
  rule: string;
  condition: Message;
  because: Message;
  /** Steps that meet it, if a job has them. */
  steps?: readonly string[];
}

/** One material from its pack to its next milestone, as a family asks for it. */
export interface RoundSpec {
  id: string;
  purpose: Purpose;
  title: Message;
  card: SystemCard;
  /** Volume that stays in the repair, ml, before profile, overfill and waste. */
  netMl: number;
  /** Bonded area, mm²; half of its profile is filled too. */
  areaMm2?: number;
  profileUm?: number;
  overfillPct?: number;
  /** In the unit of its packs, if not ml: metres, sheets. */
  pieces?: number;
  /** Packs that may be drawn; all if absent. */
  packIds?: readonly string[];
  touches: readonly Touch[];
  /** What is opened at once, for a roll, ml placed. */
  mostMl?: number;
  /** It must be a single batch. */
  whole?: boolean;
  consistency?: Consistency;
  aggregatePct?: number;
  /** Taken from a pack that is weighed elsewhere: nothing is weighed. */
  unweighed?: boolean;
  /** Thickness of the build, mm. */
  buildMm: number;
  paths: readonly string[];
  /** The working that ends in `netMl`. */
  working?: () => WorkingLine[];
  /** The milestone that the service loads; null if another round covers it before. */
  needed: Needed | null;
  /** Why no card was found for it, or why the card does not fit. */
  problem?: Message | null;
  /** Why the job chose this card. */
  because?: Message | null;
  /** The conditions of a card that the job chose. */
  terms?: readonly SecondTerm[];
}

export interface RoundBatch {
  /** Mixed volume, and its placed part, ml. */
  ml: number;
  placedMl: number;
  lifeMin: number;
  /** Minutes of its working life in which it may be used. */
  useMin: number;
  aG: number | null;
  bG: number | null;
}

/** A computed round: its amount, batches and times. */
export interface Round extends RoundSpec {
  tempC: number;
  /** All that is mixed or opened, ml placed. */
  mixMl: number;
  /** Its placed part; the rest of a last whole pack is left over. */
  placedMl: number;
  batches: RoundBatch[];
  batching: Batching;
  /** The amount to draw, in the unit of its packs. */
  draw: number;
  consistency: Consistency;
  aggregatePct: number;
  base: RoundBase;
}

/** Volume to mix, from the volume that stays: plus half the profile, overfill and waste. ml. */
function grossOf(spec: RoundSpec): number {
  const { netMl, areaMm2 = 0, profileUm = 0, overfillPct = 0, card } = spec;
  const profileMl = (areaMm2 * profileUm) / 2 / 1e6;
  return (netMl + profileMl) * (1 + overfillPct / 100) * (1 + card.wastePct / 100);
}

/** Its working. */
export function grossWorking(spec: RoundSpec): WorkingLine[] {
  const { netMl, areaMm2 = 0, profileUm = 0, overfillPct = 0, card } = spec;
  const profileMl = (areaMm2 * profileUm) / 2 / 1e6;
  return [
    ...(spec.working?.() ?? []),
    line({
      symbol: 'Vn',
      label: t('stays in the repair'),
      expression: t('from above'),
      value: netMl,
      unit: 'ml',
    }),
    ...(profileMl > 0
      ? [
          line({
            symbol: 'Vp',
            label: t('half the profile'),
            expression: `${formatFigure(areaMm2)}·${formatFigure(profileUm)}/2/10⁶`,
            value: profileMl,
            unit: 'ml',
            source: `card ${card.code}`,
          }),
        ]
      : []),
    ...(overfillPct > 0
      ? [
          line({
            symbol: 'o',
            label: t('left proud'),
            expression: t('site setting'),
            value: overfillPct,
            unit: '%',
            source: 'site',
          }),
        ]
      : []),
    line({
      symbol: 'w',
      label: t('stays on tools and pail'),
      expression: t('as on the card'),
      value: card.wastePct,
      unit: '%',
      source: `card ${card.code}`,
    }),
    line({
      symbol: 'Vg',
      label: t('to mix'),
      expression: `(Vn${profileMl > 0 ? ' + Vp' : ''})${overfillPct > 0 ? '·(1 + o/100)' : ''}·(1 + w/100)`,
      value: grossOf(spec),
      unit: 'ml',
    }),
  ];
}

const mixesWholePacks = ({ mix }: SystemCard, schools: Schools): boolean =>
  mix.kind === 'cartridge' ||
  (mix.kind === 'two-part' && (mix.wholeKit || schools.split === 'whole'));

/** Computes a round: amount, batches that can be placed in time, packs. Pure. */
export function roundOf(base: RoundBase, spec: RoundSpec): Round {
  const { card } = spec;
  const { consistency = 'patch', aggregatePct = 0 } = spec;
  const totalMl = grossOf(spec);
  const kits = card.packUnit === 'ml' && mixesWholePacks(card, base.schools);
  const made = batching({
    card,
    site: base.site,
    totalMl,
    tempC: base.tempC,
    touches: spec.touches,
    whole: spec.whole ?? false,
    mostMl: spec.mostMl ?? null,
    kits,
  });
  const { slope } = base.survey.surface;
  const batches = made.batches.map(({ ml, placedMl, lifeMin }): RoundBatch => {
    const parts =
      kits || spec.unweighed ? null : partsFor(card, ml, { consistency, slope, aggregatePct });
    return {
      ml,
      placedMl,
      lifeMin,
      useMin: lifeMin * base.site.useFraction,
      aG: parts?.aG ?? null,
      bG: parts?.bG ?? null,
    };
  });
  const mixMl = batches.reduce((s, b) => s + b.ml, 0);
  return {
    ...spec,
    consistency,
    aggregatePct,
    tempC: made.pailC ?? base.tempC,
    mixMl,
    placedMl: batches.reduce((s, b) => s + b.placedMl, 0),
    batches,
    batching: made,
    problem: spec.problem ?? made.problem,
    draw: spec.pieces ?? drawOf({ card, mixMl, batches: batches.length, aggregatePct }),
    base,
  };
}

/** What leaves the pack for the placed volume, ml: purge is added, and aggregate extends a bag. */
function drawOf({
  card,
  mixMl,
  batches,
  aggregatePct,
}: {
  card: SystemCard;
  mixMl: number;
  batches: number;
  aggregatePct: number;
}): number {
  const { mix } = card;
  if (mix.kind === 'cartridge') return mixMl + mix.purgeMl * batches;
  if (mix.kind === 'powder-water')
    return (mixMl * mix.yieldLPerBag) / litresPerBag(mix, aggregatePct);
  return mixMl;
}

/** Minutes from mixing to a milestone, from the time of mixing; null if the card has none. */
export function timeTo(
  { card, base }: Pick<Round, 'card' | 'base'>,
  id: MilestoneId,
  mixedAtMin: number,
): Answer<{ minutes: number }> | null {
  const points = card.cure.milestones[id];
  if (!points) return null;
  const { forecast, tempC } = base;
  if (!forecast?.length) return cureTime({ points, tempC });
  const history = historyFrom(forecast, mixedAtMin);
  const clock = cureClock({ points, history, horizonMin: 1e6 });
  const minutes = clock.doneAtMin;
  if (minutes === null)
    return { ok: false, why: t('It is never done at the forecast temperatures.') };
  return {
    ok: true,
    minutes,
    // Made when read: it ends in the minutes, not in the share.
    get working() {
      return closing(clock.working)({
        symbol: 't',
        label: t('done after'),
        value: minutes,
        unit: 'min',
      });
    },
  };
}

/** A forecast from a moment on, with that moment as its start. */
export function historyFrom(
  forecast: readonly { atMin: number; tempC: number }[],
  fromMin: number,
): { atMin: number; tempC: number }[] {
  const before = [...forecast].reverse().find((f) => f.atMin <= fromMin);
  const ahead = forecast.filter((f) => f.atMin > fromMin);
  const next = ahead[0];
  const startC =
    before && next
      ? before.tempC +
        ((next.tempC - before.tempC) * (fromMin - before.atMin)) / (next.atMin - before.atMin)
      : (before?.tempC ?? next?.tempC ?? 20);
  return [
    { atMin: 0, tempC: startC },
    ...ahead.map((f) => ({ atMin: f.atMin - fromMin, tempC: f.tempC })),
  ];
}

/** Every milestone of a round’s card, minutes after mixing. */
export const momentsOf = (round: Pick<Round, 'card' | 'base'>, mixedAtMin: number) =>
  MILESTONES.flatMap((id) => {
    const at = timeTo(round, id, mixedAtMin);
    return at?.ok ? [{ id, minutes: at.minutes, working: at.working }] : [];
  });

/** The milestones that each one includes: a load needs all lesser loads. */
const WITH: Partial<Record<MilestoneId, readonly MilestoneId[]>> = {
  machine: ['handle'],
  lightLoad: ['handle'],
  fullLoad: ['handle', 'lightLoad'],
  immersion: ['handle', 'lightLoad'],
  chemical: ['handle', 'lightLoad', 'fullLoad', 'immersion'],
};

/**
 * The milestone that service waits for: the latest by the card among all that it loads. Resistance to a medium does not
 * imply resistance to a load. If the card has none of them, its last earlier milestone.
 */
export function neededOn(card: SystemCard, wanted: Needed): MilestoneId {
  const { milestones } = card.cure;
  const asked: readonly MilestoneId[] = typeof wanted === 'string' ? [wanted] : wanted;
  const loads = new Set(asked.flatMap((id) => [...(WITH[id] ?? []), id]));
  const minutes = (id: MilestoneId) => milestones[id]?.at(-1)?.minutes ?? 0;
  // Of two at the same time, the later one in the list.
  const latest = MILESTONES.filter(
    (id) => loads.has(id) && milestones[id],
  ).reduce<MilestoneId | null>(
    (last, id) => (last === null || minutes(id) >= minutes(last) ? id : last),
    null,
  );
  const last = Math.max(...asked.map((id) => MILESTONES.indexOf(id)));
  const earlier = MILESTONES.slice(0, last + 1).reverse();
  return latest ?? earlier.find((id) => milestones[id]) ?? 'life';
}
