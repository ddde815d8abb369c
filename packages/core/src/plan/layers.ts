import { familyOf, type Survey } from '../families/registry';
import { MEDIUM_NAMES } from '../materials/words';
import type { Lettering, SectionSpec } from '../section/spec';
import { formatQuantity } from '../units/format';
import type { UnitSystem } from '../units/quantities';
import type { Plan } from './plan';

/**
 * A drawing spec with the plan's decisions in place of the sketch: plies and overlaps, sand bed, strip and margin, band
 * of paste. Reads the plan’s figures and card; knows no family.
 */
export function specAsPlanned(spec: SectionSpec, plan: Plan, text: Lettering): SectionSpec {
  const { figures, card } = plan;
  const value = (id: string): number | null => figures[id]?.value ?? null;
  const [layers, length] = [value('layers'), value('wrapLength')];
  const marginMm = value('marginGot');
  const sanded = (value('sandBed') ?? 0) > 0;
  const cover = (): SectionSpec['cover'] => {
    if (layers !== null && length !== null && card.tape) {
      const lapMm = Math.max(5, (length - spec.acrossMm) / 2);
      return { lapMm, thickMm: layers * card.tape.plyMm, plies: Math.round(layers) };
    }
    if (marginMm !== null && spec.cover) return { ...spec.cover, lapMm: marginMm };
    if (card.injection && spec.ports)
      return {
        lapMm: card.injection.sealWidthMm / 2,
        thickMm: card.injection.sealThickMm,
        plies: 1,
      };
    // A plug alone has no cover.
    return spec.axis && spec.through && layers === null ? null : spec.cover;
  };
  const planned = cover();
  return {
    ...spec,
    cover: planned,
    lap: planned ? text(planned.lapMm) : '',
    sandFromMm: sanded ? Math.min(value('opened') ?? spec.depthMm, spec.depthMm) : null,
  };
}

/** The caption of a plan's layers: the card, and its coats, plies or passes. */
export function layersText({ figures, card }: Plan): string {
  const many = (id: string, one: string, more: string): string | null => {
    const n = figures[id]?.value;
    return n === undefined ? null : `${card.code}, ${n === 1 ? `one ${one}` : `${n} ${more}`}`;
  };
  return (
    many('layers', 'ply', 'plies') ??
    many('passes', 'pass', 'passes') ??
    // What is injected or poured into a crack has no coats.
    (card.injection ? card.code : many('coats', 'coat', 'coats')) ??
    card.code
  );
}

/** The caption for the service medium; null if the family does not ask for it. */
export function serviceText({ family, service }: Survey, units: UnitSystem): string | null {
  if (!familyOf(family).groups.some((g) => g.id === 'service')) return null;
  return `${MEDIUM_NAMES[service.medium].toLowerCase()} ${formatQuantity(service.mediumC, 'temperature', units)}`;
}
