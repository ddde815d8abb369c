import { t } from '../../text/text';
import { size } from '../../section/parts';
import { specOf, type Lettering, type SectionSpec } from '../../section/spec';
import { type FloorPatchSurvey } from './survey';

type Damage = FloorPatchSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  d.shape === 'coving'
    ? specOf({
        named: t('Cove'),
        acrossMm: d.legMm,
        across: text(d.legMm, 'legMm'),
        depthMm: d.legMm / 2,
        depth: text(d.legMm / 2, 'legMm'),
        bite: 'vee',
      })
    : specOf({
        named: d.shape === 'patch' ? t('Patch') : t('Overlay'),
        acrossMm: d.lengthMm,
        across: size(text, d),
        depthMm: d.depthMm,
        depth: text(d.depthMm, 'depthMm'),
      });
