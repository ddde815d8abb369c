import { COVER_MM, LAP_MM } from '../survey/f6';
import type { FamilyId, Survey, SurveyOf } from '../survey/survey';
import { specOf, type Lettering, type SectionSpec } from './spec';

type DamageOf<F extends FamilyId> = SurveyOf<F>['damages'][number];
type SpecMaker<F extends FamilyId> = (damage: DamageOf<F>, text: Lettering) => SectionSpec;

/** A wall with a bite that does not go through it. */
function walled(
  named: string,
  acrossMm: number,
  across: string,
  d: { depthMm: number; wallMm: number },
  text: Lettering,
  more: Partial<SectionSpec> = {},
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

/** A piece that is holed or cracked right through. */
function holed(
  named: string,
  acrossMm: number,
  across: string,
  thickMm: number,
  thick: string,
  more: Partial<SectionSpec> = {},
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

/** A crack from the surface down, in ground that goes on below. */
function ground(
  named: string,
  d: { widthMm: number; depthMm: number },
  text: Lettering,
  more: Partial<SectionSpec> = {},
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

const size = (text: Lettering, d: { lengthMm: number; widthMm: number }) =>
  `${text(d.lengthMm, 'lengthMm')} × ${text(d.widthMm, 'widthMm')}`;
const diameter = (text: Lettering, mm: number) => `⌀ ${text(mm, 'outsideDiameterMm')}`;
/** Usual lap and cover of a belt patch, and plies of a wrap, as they are sketched before a card is chosen. */
const BELT_COVER = { lapMm: LAP_MM, thickMm: COVER_MM, plies: 1 };
const WRAP_PLIES = 8;
const WRAP_PLY_MM = 0.42;
const wrapCover = (lapMm: number) => ({
  lapMm,
  thickMm: WRAP_PLIES * WRAP_PLY_MM,
  plies: WRAP_PLIES,
});
/** Working depth of resin over sand in a wide crack, as sketched. */
const SAND_FROM_MM = 40;

const specs: { [F in FamilyId]: SpecMaker<F> } = {
  F1: (d, text) =>
    d.shape === 'ring'
      ? walled(
          'Flange face',
          (d.outerMm - d.innerMm) / 2,
          text((d.outerMm - d.innerMm) / 2, 'outerMm', 'innerMm'),
          d,
          text,
          {
            former: true,
            notes: [`⌀ ${text(d.innerMm, 'innerMm')} to ${text(d.outerMm, 'outerMm')}`],
          },
        )
      : walled('Gouge', d.lengthMm, size(text, d), d, text, { former: true }),
  F2: (d, text) => {
    if (d.shape === 'pocket')
      return walled('Round pocket', d.diameterMm, text(d.diameterMm, 'diameterMm'), d, text, {
        bite: 'dished',
      });
    if (d.shape === 'flat') return walled('Flat area', d.lengthMm, size(text, d), d, text);
    const depthMm = Math.max(0.05, Math.abs(d.finishedDiameterMm - d.wornDiameterMm) / 2);
    return specOf({
      named: d.shape === 'seat' ? 'Shaft seat' : 'Bore',
      acrossMm: d.lengthMm,
      across: text(d.lengthMm, 'lengthMm'),
      depthMm,
      depth: text(depthMm, 'finishedDiameterMm', 'wornDiameterMm'),
      hanging: d.shape === 'bore',
      axis: true,
      notes: [
        `finished ⌀ ${text(d.finishedDiameterMm, 'finishedDiameterMm')}`,
        `worn ⌀ ${text(d.wornDiameterMm, 'wornDiameterMm')}`,
      ],
    });
  },
  F3: (d, text) => {
    if (d.shape === 'chip') return walled('Chip', d.lengthMm, size(text, d), d, text);
    const wall = text(d.wallMm, 'wallMm');
    const cover = { lapMm: d.wallMm * 3, thickMm: d.buildMm, plies: 1 };
    return d.shape === 'hole'
      ? holed('Hole', d.lengthMm, size(text, d), d.wallMm, wall, { cover })
      : holed('Break', 1, '', d.wallMm, wall, {
          bite: 'crack',
          cover,
          notes: [`break ${text(d.lengthMm, 'lengthMm')} long`],
        });
  },
  F4: (d, text) => {
    const wall = text(d.wallMm, 'wallMm');
    const more = {
      cover: wrapCover(100),
      axis: true,
      notes: [diameter(text, d.outsideDiameterMm)],
    };
    return d.shape === 'pinhole'
      ? holed('Pinhole', d.diameterMm, text(d.diameterMm, 'diameterMm'), d.wallMm, wall, more)
      : holed('Crack', d.widthMm, text(d.widthMm, 'widthMm'), d.wallMm, wall, {
          ...more,
          bite: 'crack',
        });
  },
  F5: (d, text) => {
    const more = {
      cover: wrapCover(Math.max(50, 2 * Math.sqrt(d.outsideDiameterMm * d.wallMm))),
      axis: true,
      notes: [diameter(text, d.outsideDiameterMm)],
    };
    if (d.shape === 'hole')
      return holed(
        'Hole',
        d.diameterMm,
        text(d.diameterMm, 'diameterMm'),
        d.wallMm,
        text(d.wallMm, 'wallMm'),
        more,
      );
    const depthMm = Math.max(0.1, d.wallMm - d.remainingMm);
    return specOf({
      named: 'Thin wall',
      acrossMm: d.lengthMm,
      across: text(d.lengthMm, 'lengthMm'),
      depthMm,
      depth: text(depthMm, 'wallMm', 'remainingMm'),
      wallMm: d.wallMm,
      wall: text(d.wallMm, 'wallMm'),
      left: text(d.remainingMm, 'remainingMm'),
      bite: 'dished',
      ...more,
    });
  },
  F6: (d, text) => {
    const belt = text(d.beltMm, 'beltMm');
    if (d.shape === 'hole')
      return holed('Hole', d.diameterMm, text(d.diameterMm, 'diameterMm'), d.beltMm, belt, {
        cover: BELT_COVER,
      });
    if (d.shape === 'rip')
      return holed('Rip', d.widthMm, text(d.widthMm, 'widthMm'), d.beltMm, belt, {
        cover: BELT_COVER,
        notes: [`rip ${text(d.lengthMm, 'lengthMm')} long`],
      });
    return specOf({
      named: 'Gouge',
      acrossMm: d.widthMm,
      across: text(d.widthMm, 'widthMm'),
      depthMm: d.depthMm,
      depth: text(d.depthMm, 'depthMm'),
      wallMm: d.beltMm,
      wall: belt,
      left: text(Math.max(0, d.beltMm - d.depthMm), 'beltMm', 'depthMm'),
      bite: 'dished',
      cover: BELT_COVER,
    });
  },
  F7: (d, text) =>
    specOf({
      named: d.shape === 'cut' ? 'Cut' : 'Crack',
      acrossMm: d.widthMm,
      across: text(d.widthMm, 'widthMm'),
      depthMm: d.depthMm,
      depth: text(d.depthMm, 'depthMm'),
      bite: 'vee',
      cover: { lapMm: 30, thickMm: 4, plies: 1 },
      notes: [`${text(d.lengthMm, 'lengthMm')} long`],
    }),
  F8: (d, text) =>
    ground(d.shape === 'stepped' ? 'Stepped crack' : 'Floor crack', d, text, {
      sandFromMm: d.shape === 'bottomless' ? Math.min(SAND_FROM_MM, d.depthMm * 0.7) : null,
      notes: d.shape === 'stepped' ? [`step ${text(d.stepMm, 'stepMm')}`] : [],
    }),
  F9: (d, text) =>
    d.shape === 'coving'
      ? specOf({
          named: 'Cove',
          acrossMm: d.legMm,
          across: text(d.legMm, 'legMm'),
          depthMm: d.legMm / 2,
          depth: text(d.legMm / 2, 'legMm'),
          bite: 'vee',
        })
      : specOf({
          named: d.shape === 'patch' ? 'Patch' : 'Overlay',
          acrossMm: d.lengthMm,
          across: size(text, d),
          depthMm: d.depthMm,
          depth: text(d.depthMm, 'depthMm'),
        }),
  F10: (d, text) =>
    ground('Wide crack', d, text, { sandFromMm: d.depthMm > SAND_FROM_MM ? SAND_FROM_MM : null }),
  F11: (d, text) =>
    holed('Wall crack', d.widthMm, text(d.widthMm, 'widthMm'), d.wallMm, text(d.wallMm, 'wallMm'), {
      bite: 'crack',
      cover: { lapMm: 25, thickMm: 3, plies: 1 },
      ports: true,
      notes: [d.shape === 'through' ? 'seen from above' : 'one face only'],
    }),
  F12: (d, text) => {
    const wall = text(d.wallMm, 'wallMm');
    const cover = { lapMm: Math.max(15, d.wallMm * 3), thickMm: d.wallMm / 2, plies: 1 };
    return d.shape === 'hole'
      ? holed('Hole', d.diameterMm, text(d.diameterMm, 'diameterMm'), d.wallMm, wall, { cover })
      : holed('Crack', d.widthMm, text(d.widthMm, 'widthMm'), d.wallMm, wall, {
          bite: 'vee',
          cover,
        });
  },
  F13: (d, text) => {
    const wall = text(d.wallMm, 'wallMm');
    return d.shape === 'fitting'
      ? holed('Fitting', d.diameterMm * 0.6, text(d.diameterMm, 'diameterMm'), d.wallMm, wall, {
          cover: { lapMm: d.diameterMm * 0.2, thickMm: d.gapMm, plies: 1 },
        })
      : holed('Patch', d.lengthMm, size(text, d), d.wallMm, wall, {
          cover: { lapMm: 50, thickMm: 4, plies: 2 },
        });
  },
  F14: (d, text) => {
    const depthMm = d.shape === 'spot' ? d.depthMm : d.filmUm / 1000;
    return walled(
      d.shape === 'spot' ? 'Eroded spot' : 'Bare spot',
      d.lengthMm,
      size(text, d),
      { depthMm, wallMm: d.wallMm },
      text,
      {
        depth: d.shape === 'spot' ? text(d.depthMm, 'depthMm') : text(depthMm, 'filmUm'),
        left: '',
      },
    );
  },
  F15: (d, text) =>
    holed('Burn', d.lengthMm, size(text, d), d.depthMm, text(d.depthMm, 'depthMm'), {
      pins: d.pins,
    }),
  F16: (d, text) =>
    specOf({
      named: d.shape === 'bed' ? 'Bed' : 'Torn spot',
      acrossMm: d.lengthMm,
      across: size(text, d),
      depthMm: d.depthMm,
      depth: text(d.depthMm, 'depthMm'),
    }),
};

/** The drawing’s own view of one damage of a family. */
export const specFor = (
  family: FamilyId,
  damage: Survey['damages'][number],
  text: Lettering,
): SectionSpec => (specs[family] as SpecMaker<FamilyId>)(damage as DamageOf<FamilyId>, text);
