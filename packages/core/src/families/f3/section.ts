import { t } from '../../text/text';
import { throughSpec, size, wallSpec } from '../../section/parts';
import { type Lettering, type SectionSpec } from '../../section/spec';
import { type BracketSurvey } from './survey';

type Damage = BracketSurvey['damages'][number];

/** One damage as it is drawn. */
export const section = (d: Damage, text: Lettering): SectionSpec => {
  if (d.shape === 'chip')
    return wallSpec(t('Chip'), { acrossMm: d.lengthMm, across: size(text, d), d, text });
  const wall = text(d.wallMm, 'wallMm');
  const cover = { lapMm: d.wallMm * 3, thickMm: d.buildMm, plies: 1 };
  return d.shape === 'hole'
    ? throughSpec(t('Hole'), {
        acrossMm: d.lengthMm,
        across: size(text, d),
        thickMm: d.wallMm,
        thick: wall,
        more: { cover },
      })
    : throughSpec(t('Break'), {
        acrossMm: 1,
        across: '',
        thickMm: d.wallMm,
        thick: wall,
        more: {
          bite: 'crack',
          cover,
          notes: [`break ${text(d.lengthMm, 'lengthMm')} long`],
        },
      });
};
