import { t } from '../../text/text';
import { diameter, throughSpec, wrapCover } from '../../section/parts';
import { specOf, type Lettering, type SectionSpec } from '../../section/spec';
import { type PipeWrapSurvey } from './survey';

type Damage = PipeWrapSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const more = {
    cover: wrapCover(Math.max(50, 2 * Math.sqrt(d.outsideDiameterMm * d.wallMm))),
    axis: true,
    notes: [diameter(text, d.outsideDiameterMm)],
  };
  if (d.shape === 'hole')
    return throughSpec(t('Hole'), {
      acrossMm: d.diameterMm,
      across: text(d.diameterMm, 'diameterMm'),
      thickMm: d.wallMm,
      thick: text(d.wallMm, 'wallMm'),
      more,
    });
  const depthMm = Math.max(0.1, d.wallMm - d.remainingMm);
  return specOf({
    named: t('Thin wall'),
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
};
