import { t } from '../../text/text';
import { size, wallSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type FlangeSurvey } from './survey';

type Damage = FlangeSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  d.shape === 'ring'
    ? wallSpec(t('Flange face'), {
        acrossMm: (d.outerMm - d.innerMm) / 2,
        across: text((d.outerMm - d.innerMm) / 2, 'outerMm', 'innerMm'),
        d,
        text,
        more: {
          former: true,
          notes: [`⌀ ${text(d.innerMm, 'innerMm')} to ${text(d.outerMm, 'outerMm')}`],
        },
      })
    : wallSpec(t('Gouge'), {
        acrossMm: d.lengthMm,
        across: size(text, d),
        d,
        text,
        more: { former: true },
      });
