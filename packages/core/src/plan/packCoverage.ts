import { t } from '../text/text';
import { formatFigure, line, refuse, worked, type Answer, type WorkingLine } from '../calc/calc';
import { demandOfSurvey, familyOf } from '../families/registry';
import { assumedSurvey } from '../form/assumedSurvey';
import { readField, type SurveyDraft } from '../form/draft';
import { jobFrom, workFor } from '../job/job';
import type { Card, SystemCard } from '../materials/card';
import { ownRounds } from '../match/outcome';
import type { SiteSettings } from '../site/site';
import { fromBase, shownUnit, type QuantityId, type UnitSystem } from '../units/quantities';
import { packQuantity } from '../work/supplies';

export interface PackCoverageInput {
  card: SystemCard;
  packId: string;
  family: string;
  shape: string;
  /** Dimensions of one damage as typed, by key. */
  sizes: Readonly<Record<string, string>>;
  units: UnitSystem;
  site: SiteSettings;
  library: readonly Card[];
}

export interface PackCoverage {
  /** The amount for one such damage, in the base unit of `quantity`. */
  each: number;
  quantity: QuantityId;
  /** Number of whole damages of this kind for one pack. */
  count: number;
  /** Length and area of such damage that it covers; null if the damage has none. */
  lengthMm: number | null;
  areaMm2: number | null;
}

/** A survey of one such damage, with likely answers otherwise. */
function draftOf({ card, family, shape, sizes }: PackCoverageInput): SurveyDraft {
  const { usual, groups } = familyOf(family);
  const parent = groups.find((g) => g.id === 'parent')?.fields.material;
  const offered = parent?.kind === 'choice' ? parent.options.map((o) => o.value) : [];
  const material = card.substrates.find((s) => offered.includes(s.material))?.material ?? '';
  const damage = Object.entries(sizes).map(([key, text]) => [`damages.0.${key}`, text] as const);
  return {
    family,
    intent: 'lasting',
    startAt: '2000-01-01T00:00:00Z',
    asset: { id: null, tag: '-', name: '-', position: '', costPerHour: 0 },
    shapes: [shape],
    texts: { ...usual, 'parent.material': material, ...Object.fromEntries(damage) },
  };
}

interface Covered {
  card: SystemCard;
  pack: SystemCard['packs'][number];
  drawn: number;
  count: number;
  long: number | null;
  wide: number | null;
  lengthMm: number | null;
  areaMm2: number | null;
}

/** The lines of working of a pack's coverage. */
function coverageLines(covered: Covered): WorkingLine[] {
  const { card, pack, drawn, count, long, wide, lengthMm, areaMm2 } = covered;
  const { quantity, scale } = packQuantity(card);
  const unit = shownUnit(quantity, 'metric');
  const [shown, held] = [drawn, pack.size].map((x) => fromBase(x * scale, unit)) as [
    number,
    number,
  ];
  return [
    line({
      symbol: 'V',
      label: t('one takes'),
      expression: t('as a plan draws it, with waste and overfill'),
      value: shown,
      unit: unit.symbol,
      source: `card ${card.code}`,
    }),
    line({
      symbol: 'P',
      label: t('the pack holds'),
      expression: pack.label,
      value: held,
      unit: unit.symbol,
      source: `card ${card.code}`,
    }),
    ...(lengthMm === null
      ? []
      : [
          line({
            symbol: 'L',
            label: t('length it covers'),
            expression: `${formatFigure(long ?? 0)}·P/V`,
            value: lengthMm,
            unit: 'mm',
          }),
        ]),
    ...(areaMm2 === null
      ? []
      : [
          line({
            symbol: 'A',
            label: t('area it covers'),
            expression: `${formatFigure(long ?? 0)}·${formatFigure(wide ?? 0)}·P/V`,
            value: areaMm2,
            unit: 'mm²',
          }),
        ]),
    line({
      symbol: 'n',
      label: t('whole ones'),
      expression: t('P/V, rounded down'),
      value: count,
      unit: '',
    }),
  ];
}

/**
 * How far one pack of a card goes on damage of a size: the amounts of a real plan, with overfill, profile, waste and
 * purge. Refuses if a dimension cannot be read, or the pack is not the card's.
 */
export function packCoverage(ask: PackCoverageInput): Answer<PackCoverage> {
  const { card, packId, units, site, library } = ask;
  const pack = card.packs.find((p) => p.id === packId);
  const shape = familyOf(ask.family).shapes.find((s) => s.shape === ask.shape);
  if (!pack || !shape)
    return refuse(t('{code} has no such pack, or the damage is not known.', { code: card.code }));
  const size = (key: string): number | null => {
    const field = shape.fields[key];
    const read = field ? readField(field, ask.sizes[key], units) : null;
    return read && 'value' in read ? Number(read.value) : null;
  };
  const unread = Object.entries(shape.fields).find(([key]) => size(key) === null);
  if (unread)
    return refuse(t('{label} cannot be read: type a number.', { label: unread[1].label }));
  const survey = assumedSurvey(draftOf(ask), units);
  if (!survey) return refuse(t('These sizes do not go together.'));
  const demand = demandOfSurvey(survey, site);
  // Only this pack: a wrap of another width has another overlap.
  const only = { ...card, packs: [pack] };
  const job = jobFrom(
    workFor({ survey, card: only, site, context: { library }, demand, heldC: null, terms: 0 }),
  );
  // Of a whole kit or cartridge only the placed part counts: the rest serves the next damage.
  const drawn = ownRounds(job).reduce(
    (sum, r) => sum + r.draw * (r.mixMl > 0 ? r.placedMl / r.mixMl : 1),
    0,
  );
  if (drawn <= 0)
    return refuse(t('{code} is not what this damage is filled with.', { code: card.code }));
  const { quantity, scale } = packQuantity(card);
  const share = pack.size / drawn;
  const count = Math.floor(share + 1e-9);
  const [long, wide] = [size('lengthMm'), size('widthMm')];
  const lengthMm = long === null ? null : long * share;
  const areaMm2 = long === null || wide === null ? null : long * wide * share;
  const sizes = { long, wide, lengthMm, areaMm2 };
  return worked(
    { each: drawn * scale, quantity, count, lengthMm, areaMm2 },
    coverageLines({ card, pack, drawn, count, ...sizes }),
  );
}
