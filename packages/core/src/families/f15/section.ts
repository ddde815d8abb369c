import { t } from '../../text/text';
import { throughSpec, size } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type BoardSurvey } from './survey';

type Damage = BoardSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec =>
  throughSpec(t('Burn'), d.lengthMm, size(text, d), d.depthMm, text(d.depthMm, 'depthMm'), {
    pins: d.pins,
  });
