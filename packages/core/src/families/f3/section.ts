import { t } from '../../text/text';
import { throughSpec, size, wallSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type BracketSurvey } from './survey';

type Damage = BracketSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  if (d.shape === 'chip') return wallSpec(t('Chip'), d.lengthMm, size(text, d), d, text);
  const wall = text(d.wallMm, 'wallMm');
  const cover = { lapMm: d.wallMm * 3, thickMm: d.buildMm, plies: 1 };
  return d.shape === 'hole'
    ? throughSpec(t('Hole'), d.lengthMm, size(text, d), d.wallMm, wall, { cover })
    : throughSpec(t('Break'), 1, '', d.wallMm, wall, {
        bite: 'crack',
        cover,
        notes: [`break ${text(d.lengthMm, 'lengthMm')} long`],
      });
};
