import { t } from '../../text/text';
import { size, wallSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type FlangeSurvey } from './survey';

type Damage = FlangeSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  d.shape === 'ring'
    ? wallSpec(
        t('Flange face'),
        (d.outerMm - d.innerMm) / 2,
        text((d.outerMm - d.innerMm) / 2, 'outerMm', 'innerMm'),
        d,
        text,
        {
          former: true,
          notes: [`⌀ ${text(d.innerMm, 'innerMm')} to ${text(d.outerMm, 'outerMm')}`],
        },
      )
    : wallSpec(t('Gouge'), d.lengthMm, size(text, d), d, text, { former: true });
