import { t } from '../../text/text';
import { USUAL_TRADE } from '../../trade/trade';
import { throughSpec } from '../../section/parts';
import { specOf, type Lettering, type SectionSpec } from '../../section/spec';
import { type BeltSurvey } from './survey';

type Damage = BeltSurvey['damages'][number];

/** A belt's patch is drawn in its usual size: the site is not known here. */
const DRAWN = USUAL_TRADE.belt;

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const belt = text(d.beltMm, 'beltMm');
  if (d.shape === 'hole')
    return throughSpec(t('Hole'), {
      acrossMm: d.diameterMm,
      across: text(d.diameterMm, 'diameterMm'),
      thickMm: d.beltMm,
      thick: belt,
      more: {
        cover: { lapMm: DRAWN.lapMm, thickMm: DRAWN.coverMm, plies: 1 },
      },
    });
  if (d.shape === 'rip')
    return throughSpec(t('Rip'), {
      acrossMm: d.widthMm,
      across: text(d.widthMm, 'widthMm'),
      thickMm: d.beltMm,
      thick: belt,
      more: {
        cover: { lapMm: DRAWN.lapMm, thickMm: DRAWN.coverMm, plies: 1 },
        notes: [`rip ${text(d.lengthMm, 'lengthMm')} long`],
      },
    });
  return specOf({
    named: t('Gouge'),
    acrossMm: d.widthMm,
    across: text(d.widthMm, 'widthMm'),
    depthMm: d.depthMm,
    depth: text(d.depthMm, 'depthMm'),
    wallMm: d.beltMm,
    wall: belt,
    left: text(Math.max(0, d.beltMm - d.depthMm), 'beltMm', 'depthMm'),
    bite: 'dished',
    cover: { lapMm: DRAWN.lapMm, thickMm: DRAWN.coverMm, plies: 1 },
  });
};
