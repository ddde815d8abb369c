import { t } from '../../text/text';
import { size, wallSpec } from '../../section/parts';
import { specOf, type Lettering, type SectionSpec } from '../../section/spec';
import { type RebuildSurvey } from './survey';

type Damage = RebuildSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  if (d.shape === 'pocket')
    return wallSpec(t('Round pocket'), {
      acrossMm: d.diameterMm,
      across: text(d.diameterMm, 'diameterMm'),
      d,
      text,
      more: {
        bite: 'dished',
      },
    });
  if (d.shape === 'flat')
    return wallSpec(t('Flat area'), { acrossMm: d.lengthMm, across: size(text, d), d, text });
  const depthMm = Math.max(0.05, Math.abs(d.finishedDiameterMm - d.wornDiameterMm) / 2);
  return specOf({
    named: d.shape === 'seat' ? t('Shaft seat') : t('Bore'),
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
};
