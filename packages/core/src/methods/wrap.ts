import { perDamage } from './perDamage';
import { sentences } from '../message/sentences';
import { t } from '../text/text';
import { fittingFactor, type Wrapped } from '../work/wrap';
import { formatFigure, line } from '../calc/calc';
import type { Says } from '../message/sentences';
import { m, mm, q, type Message } from '../message/message';
import { figureOf, type Figure } from '../work/figure';
import type { StepDraft } from '../work/step';
import type { Round } from '../work/round';
import type { Work } from '../work/work';
import { step, wrong, type More } from './step';

/** Volume of the tape laid, ml: width × thickness × length. */
export const tapeMl = ({ wrap, card }: Work): number =>
  wrap && card.tape ? wrap.widthMm * card.tape.plyMm * wrap.metres : 0;
/** The volume of one roll. */
export const rollMl = ({ wrap, card }: Work): number =>
  wrap && card.tape ? wrap.widthMm * card.tape.plyMm * wrap.rollM : 0;

/** Laying the tape of a roll: its start, its tension, its end. */
export function layTape(
  work: Work,
  round: Round,
  { title, extra, more = {} }: { title: Message; extra: Says; more?: More },
): StepDraft {
  const { wrap } = work;
  return step.touch(round, 'place', {
    title,
    says: [
      work.wrap?.lays.length === 1
        ? null
        : sentences(`Wrap {n} places, one after the other.`, { n: wrap?.lays.length ?? 1 }),
      sentences(
        `
          Start at this distance before the middle of the damage: {half}.
          Begin with one square turn. Pull the tape tight and overlap it by half.
          Number of passes: {passes}. They make {layers, plural, one {one layer} other {# layers}}.
          End with one square turn.
          Length of tape, {width} wide: {metres}.
        `,
        {
          half: perDamage((wrap?.lengthsMm ?? []).map((length) => mm(length / 2))),
          passes: perDamage((wrap?.lays ?? []).map((l) => q(l.passes, 'count'))),
          layers: wrap?.layers ?? 0,
          width: mm(wrap?.widthMm ?? 0),
          metres: perDamage((wrap?.lays ?? []).map((l) => q(l.metres * 1000, 'run'))),
        },
      ),
      round.batches.length > 1 && sentences(`Use the next roll while this one is still soft.`),
      extra,
    ],
    figures: ['layers', 'tape', 'tapeWidth', 'wrapLength', 'wrapThick'],
    wrong: [
      wrong(
        t('A wrinkle'),
        t('Pull the tape back to the wrinkle and lay it again while it is wet.'),
      ),
      wrong(t('Dry cloth'), t('Wet it and squeeze the resin through. A dry ply carries nothing.')),
    ],
    ...more,
  });
}

export const WRAP_FIGURES = ['layers', 'tape', 'tapeWidth', 'wrapLength', 'wrapThick'] as const;

function wrapLength(
  { design, lengthsMm }: NonNullable<Work['wrap']>,
  family: string,
  paths: string[],
): Figure {
  const length = lengthsMm[0] ?? 0;
  const covers = design?.ok
    ? t('damage and both overlaps and tapers')
    : t('damage and the extent both ways');
  const working = [
    ...(design?.ok ? design.working : []),
    line({
      symbol: 'Lw',
      label: t('wrapped length'),
      expression: covers,
      value: length,
      unit: 'mm',
      source: family,
    }),
  ];
  return figureOf({
    id: 'wrapLength',
    label: t('Wrapped length'),
    value: length,
    quantity: 'length',
    working,
    paths,
  });
}

/** The layers, with their design or the least of the card. */
function layersFigure({ design, layers }: Wrapped, work: Work, paths: string[]): Figure {
  const { card, demand, trade } = work;
  const least = card.mix.kind === 'water-set' ? card.mix.leastLayers : layers;
  const whys = design?.ok
    ? design.working
    : [
        line({
          symbol: 'n',
          label: t('least layers'),
          expression: t('as on the card'),
          value: least,
          unit: '',
          source: `card ${card.code}`,
        }),
      ];
  const { fitting = 'straight' } = demand.wrap ?? {};
  const factor = fittingFactor(fitting, trade);
  const round =
    factor === 1
      ? []
      : [
          line({
            symbol: 'k',
            label: t('on this {fitting}', { fitting }),
            expression: t('usual'),
            value: factor,
            unit: '',
            source: 'ISO 24817',
          }),
        ];
  return figureOf({
    id: 'layers',
    label: t('Layers'),
    value: layers,
    quantity: 'count',
    working: [
      ...whys,
      ...round,
      line({
        symbol: 'N',
        label: t('layers'),
        expression:
          factor === 1 ? 'n' : t('n·{factor}, rounded up', { factor: formatFigure(factor) }),
        value: layers,
      }),
    ],
    paths,
  });
}

/** Figures of a wrap: layers, tape, length, thickness, and its design if there is one. */
export function wrapFigures(work: Work): Figure[] {
  const { wrap, card, survey } = work;
  if (!wrap || !card.tape) return [];
  const { lays, layers, metres, widthMm, thicknessMm } = wrap;
  const paths = ['damages.0.outsideDiameterMm', 'line.pressureBar'];
  return [
    layersFigure(wrap, work, paths),
    figureOf({
      id: 'tape',
      label: t('Tape'),
      value: metres * 1000,
      quantity: 'run',
      working: [
        ...lays.flatMap((l) => l.working),
        line({
          symbol: 'L',
          label: t('tape in all'),
          expression: lays.map((l) => formatFigure(l.metres)).join(' + '),
          value: metres * 1000,
          unit: 'mm',
        }),
      ],
      paths,
    }),
    figureOf({
      id: 'tapeWidth',
      label: t('Tape width'),
      value: widthMm,
      quantity: 'length',
      working: [
        line({
          symbol: 'b',
          label: t('width that is drawn'),
          expression: t('the cheapest that does it'),
          value: widthMm,
          unit: 'mm',
          source: `card ${card.code}`,
        }),
      ],
    }),
    wrapLength(wrap, survey.family, paths),
    figureOf({
      id: 'wrapThick',
      label: t('Thickness'),
      value: thicknessMm,
      quantity: 'length',
      working: [
        line({
          symbol: 't₁',
          label: t('ply'),
          expression: t('as on the card'),
          value: card.tape.plyMm,
          unit: 'mm',
          source: `card ${card.code}`,
        }),
        line({
          symbol: 't',
          label: t('thickness'),
          expression: `${layers}·t₁`,
          value: thicknessMm,
          unit: 'mm',
        }),
      ],
    }),
  ];
}

/** How to remove a cured wrap from a pipe. */
export const WRAP_OFF = [
  m('Drain the line. Saw two lines opposite each other along the wrap, not into the pipe.'),
  m('Chisel along them and prise the halves off. Grind off what is left.'),
];
