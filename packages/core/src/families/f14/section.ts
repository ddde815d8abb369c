import { t } from '../../text/text';
import { size, wallSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type PanelSurvey } from './survey';

type Damage = PanelSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  const depthMm = d.shape === 'spot' ? d.depthMm : d.filmUm / 1000;
  return wallSpec(d.shape === 'spot' ? t('Eroded spot') : t('Bare spot'), {
    acrossMm: d.lengthMm,
    across: size(text, d),
    d: { depthMm, wallMm: d.wallMm },
    text,
    more: {
      depth: d.shape === 'spot' ? text(d.depthMm, 'depthMm') : text(depthMm, 'filmUm'),
      left: '',
    },
  });
};
