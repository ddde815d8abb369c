import { formatFigure, line } from '../calc/calc';
import { t } from '../text/text';
import { figureOf, type Figure } from '../work/figure';
import type { Work } from '../work/work';

export const pathsOf = ({ bodies }: Work): string[] => [
  ...bodies.flatMap((b) => b.body.paths),
  'surface.slope',
];

export const areaFigure = ({ bodies, areaMm2 }: Work, paths: string[]): Figure =>
  figureOf({
    id: 'area',
    label: t('Bonded area'),
    value: areaMm2,
    quantity: 'area',
    working: [
      ...bodies.flatMap((b) => b.volumes.flatMap((v) => v.working.filter((w) => w.symbol === 'A'))),
      line({
        symbol: 'ΣA',
        label: t('bonded area in all'),
        expression: bodies.map((b) => formatFigure(b.areaMm2)).join(' + ') || '0',
        value: areaMm2,
        unit: 'mm²',
      }),
    ],
    paths,
  });

function wetFilmFigure(card: Work['card'], coatMm: number, paths: string[]): Figure {
  const source = `card ${card.code}`;
  const solids = card.layer.volumeSolidsPct / 100;
  const wetUm = (coatMm * 1000) / solids;
  return figureOf({
    id: 'wetFilm',
    label: t('Wet film a coat'),
    value: wetUm,
    quantity: 'thinFilm',
    working: [
      line({
        symbol: 'h₁',
        label: t('each coat, dry'),
        expression: t('from above'),
        value: coatMm,
        unit: 'mm',
      }),
      line({
        symbol: 'WFT',
        label: t('wet film'),
        expression: `h₁·1000/${formatFigure(solids)}`,
        value: wetUm,
        unit: 'µm',
        source,
      }),
    ],
    paths,
  });
}

export function coatFigures(
  { card, survey, buildMm, coats, coatMm }: Work,
  paths: string[],
): Figure[] {
  const max = card.layer.maxMm[survey.surface.slope];
  const source = `card ${card.code}`;
  const build = line({
    symbol: 'h',
    label: t('thickest build'),
    expression: t('damage depth, as it is opened and with what is left on'),
    value: buildMm,
    unit: 'mm',
    source: t('survey, card'),
  });
  const perCoat = line({
    symbol: 'hc',
    label: t('most in one coat, {slope}', { slope: survey.surface.slope }),
    expression: formatFigure(max),
    value: max,
    unit: 'mm',
    source,
  });
  const number = line({
    symbol: 'n',
    label: t('coats'),
    expression: t('{build}/{max}, rounded up, at least {leastCoats}', {
      build: formatFigure(buildMm),
      max: formatFigure(max),
      leastCoats: card.layer.leastCoats,
    }),
    value: coats,
  });
  return [
    figureOf({
      id: 'coats',
      label: t('Coats'),
      value: coats,
      quantity: 'count',
      working: [build, perCoat, number],
      paths,
    }),
    figureOf({
      id: 'coat',
      label: t('Each coat'),
      value: coatMm,
      quantity: 'length',
      working: [
        build,
        number,
        line({
          symbol: 'h₁',
          label: t('each coat'),
          expression: `${formatFigure(buildMm)}/${coats}`,
          value: coatMm,
          unit: 'mm',
        }),
      ],
      paths,
    }),
    wetFilmFigure(card, coatMm, paths),
  ];
}

export function profileFigures({ card, profileUm }: Work): Figure[] {
  if (!profileUm) return [];
  const { min, max } = profileUm;
  const found = line({
    symbol: 'Rz',
    label: t('profile, peak to valley'),
    expression: `${min} to ${max}`,
    value: min,
    unit: 'µm',
    source: `card ${card.code}`,
  });
  return [
    figureOf({
      id: 'profile',
      label: t('Least profile'),
      value: min,
      quantity: 'thinFilm',
      working: [found],
      paths: ['parent.material'],
    }),
  ];
}

export function layers(work: Work): Figure[] {
  const { card, site } = work;
  const paths = pathsOf(work);
  const edge = card.layer.minEdgeMm;
  return [
    areaFigure(work, paths),
    ...coatFigures(work, paths),
    figureOf({
      id: 'minEdge',
      label: t('Least edge depth'),
      value: edge,
      quantity: 'length',
      working: [
        line({
          symbol: 'e',
          label: t('least edge depth'),
          expression: t('as on the card'),
          value: edge,
          unit: 'mm',
          source: `card ${card.code}`,
        }),
      ],
    }),
    figureOf({
      id: 'extent',
      label: t('Prep past the damage'),
      value: site.extentMm,
      quantity: 'length',
      working: [
        line({
          symbol: 'x',
          label: t('prepared past the damage'),
          expression: t('site setting'),
          value: site.extentMm,
          unit: 'mm',
          source: site.name,
        }),
      ],
    }),
    ...profileFigures(work),
  ];
}
