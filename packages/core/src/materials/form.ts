import type { Mix } from './mix';
import type { Purpose } from './words';

/** The form in which a material is handled: it decides verbs, tools and cleaning in the sentences of a plan. */
export const FORMS = [
  'paste',
  'putty',
  'liquid',
  'mortar',
  'foam',
  'cartridge',
  'tape',
  'cloth',
  'sheet',
  'granules',
  'cement',
  'sealant',
  'drops',
  'light-cured',
] as const;
export type Form = (typeof FORMS)[number];

/** What the form depends on, as a card has it. */
interface Asked {
  form?: Form;
  mix: Pick<Mix, 'kind'>;
  packUnit: string;
  laminate?: unknown;
  crackMm?: unknown;
  injection?: unknown;
  helps: readonly Purpose[];
  service: { movementPct: number };
}

/** A material that gives by this share of its width is a sealant, percent. */
const GIVES_PCT = 20;

/** A card that does not state its form: the usual form of how it is mixed and packed. */
function usualForm({ mix, packUnit, laminate, crackMm, injection, helps, service }: Asked): Form {
  switch (mix.kind) {
    case 'powder-water':
      return 'mortar';
    case 'cartridge':
      return 'cartridge';
    case 'water-set':
      return 'tape';
    case 'light-cured':
      return 'light-cured';
    case 'crumb':
      return 'granules';
    case 'dissolved':
      return 'paste';
    case 'two-part':
      if (injection) return 'foam';
      if (laminate) return 'cloth';
      return crackMm ? 'liquid' : 'paste';
    case 'single':
      if (packUnit === 'piece') return 'sheet';
      if (helps.some((p) => p === 'tack' || p === 'close')) return 'drops';
      if (helps.some((p) => p === 'conditioner' || p === 'primer' || p === 'seal')) return 'liquid';
      return service.movementPct >= GIVES_PCT ? 'sealant' : 'putty';
  }
}

/** The form of a material, from its card. */
export const formOf = (card: Asked): Form => card.form ?? usualForm(card);
