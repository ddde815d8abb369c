import { t } from '../../text/text';
import { throughSpec, size } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type BoardSurvey } from './survey';

type Damage = BoardSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  throughSpec(t('Burn'), {
    acrossMm: d.lengthMm,
    across: size(text, d),
    thickMm: d.depthMm,
    thick: text(d.depthMm, 'depthMm'),
    more: {
      pins: d.pins,
    },
  });
