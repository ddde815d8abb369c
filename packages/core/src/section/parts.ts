import { specOf, type Lettering, type SectionSpec } from './spec';

/** A wall with a bite that does not go through. */
export function wallSpec(
  named: string,
  {
    acrossMm,
    across,
    d,
    text,
    more = {},
  }: {
    acrossMm: number;
    across: string;
    d: { depthMm: number; wallMm: number };
    text: Lettering;
    more?: Partial<SectionSpec>;
  },
): SectionSpec {
  return specOf({
    named,
    acrossMm,
    across,
    depthMm: Math.min(d.depthMm, d.wallMm * 0.96),
    depth: text(d.depthMm, 'depthMm'),
    wallMm: d.wallMm,
    wall: text(d.wallMm, 'wallMm'),
    left: text(Math.max(0, d.wallMm - d.depthMm), 'wallMm', 'depthMm'),
    ...more,
  });
}

/** A part with a hole or crack right through. */
export function throughSpec(
  named: string,
  {
    acrossMm,
    across,
    thickMm,
    thick,
    more = {},
  }: {
    acrossMm: number;
    across: string;
    thickMm: number;
    thick: string;
    more?: Partial<SectionSpec>;
  },
): SectionSpec {
  return specOf({
    named,
    acrossMm,
    across,
    depthMm: thickMm,
    depth: '',
    wallMm: thickMm,
    wall: thick,
    through: true,
    ...more,
  });
}

/** A crack from the surface down, in ground that continues below. */
export function groundSpec(
  named: string,
  {
    d,
    text,
    more = {},
  }: { d: { widthMm: number; depthMm: number }; text: Lettering; more?: Partial<SectionSpec> },
): SectionSpec {
  return specOf({
    named,
    acrossMm: d.widthMm,
    across: text(d.widthMm, 'widthMm'),
    depthMm: d.depthMm,
    depth: text(d.depthMm, 'depthMm'),
    bite: 'crack',
    ...more,
  });
}

export const size = (text: Lettering, d: { lengthMm: number; widthMm: number }) =>
  `${text(d.lengthMm, 'lengthMm')} × ${text(d.widthMm, 'widthMm')}`;
export const diameter = (text: Lettering, mm: number) => `⌀ ${text(mm, 'outsideDiameterMm')}`;
/** Plies of a wrap in a sketch, before a card is chosen. */
const WRAP_PLIES = 8;
const WRAP_PLY_MM = 0.42;
export const wrapCover = (lapMm: number) => ({
  lapMm,
  thickMm: WRAP_PLIES * WRAP_PLY_MM,
  plies: WRAP_PLIES,
});
/** Working depth of resin over sand in a wide crack, in a sketch. */
export const SAND_FROM_MM = 40;
