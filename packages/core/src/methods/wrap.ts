import { t } from '../text/text';
import { FITTING_FACTOR } from '../work/wrap';
import { formatFigure, line } from '../calc/calc';
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
  title: Message,
  extra: Message,
  more: More = {},
): StepDraft {
  const { wrap } = work;
  const lay = wrap?.lays[0];
  return step.touch(
    round,
    'place',
    title,
    m(
      'Start {half} before the middle of the damage with one square turn. Tight, half overlapped, {passes, plural, one {one pass} other {# passes to and fro}} for {layers} layers; a square turn at the end. {metres} of tape {width} wide{n, plural, one {} other { over # places}}, the next roll begun inside the life of this one. {extra}',
      {
        half: mm((wrap?.lengthsMm[0] ?? 0) / 2),
        passes: lay?.passes ?? 0,
        layers: wrap?.layers ?? 0,
        metres: q((wrap?.metres ?? 0) * 1000, 'run'),
        width: mm(wrap?.widthMm ?? 0),
        n: wrap?.lays.length ?? 1,
        extra,
      },
    ),
    {
      figures: ['layers', 'tape', 'tapeWidth', 'wrapLength', 'wrapThick'],
      wrong: [
        wrong('A wrinkle', t('Pull back to it and lay it again while it is wet.')),
        wrong(t('Dry cloth'), t('Wet it, squeeze through; a dry ply is no ply.')),
      ],
      ...more,
    },
  );
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
    line('Lw', t('wrapped length'), covers, length, 'mm', family),
  ];
  return figureOf('wrapLength', t('Wrapped length'), length, 'length', working, paths);
}

/** Figures of a wrap: layers, tape, length, thickness, and its design if there is one. */
export function wrapFigures({ wrap, card, survey, demand }: Work): Figure[] {
  if (!wrap || !card.tape) return [];
  const { lays, layers, design, metres, widthMm, thicknessMm } = wrap;
  const paths = ['damages.0.outsideDiameterMm', 'line.pressureBar'];
  const least = card.mix.kind === 'water-set' ? card.mix.leastLayers : layers;
  const whys = design?.ok
    ? design.working
    : [line('n', t('least layers'), t('as on the card'), least, '', `card ${card.code}`)];
  const { fitting = 'straight' } = demand.wrap ?? {};
  const factor = FITTING_FACTOR[fitting];
  const round =
    factor === 1
      ? []
      : [line('k', t('on this {fitting}', { fitting }), t('usual'), factor, '', 'ISO 24817')];
  return [
    figureOf(
      'layers',
      t('Layers'),
      layers,
      'count',
      [
        ...whys,
        ...round,
        line(
          'N',
          t('layers'),
          factor === 1 ? 'n' : t('n·{factor}, rounded up', { factor: formatFigure(factor) }),
          layers,
        ),
      ],
      paths,
    ),
    figureOf(
      'tape',
      t('Tape'),
      metres * 1000,
      'run',
      [
        ...lays.flatMap((l) => l.working),
        line(
          'L',
          t('tape in all'),
          lays.map((l) => formatFigure(l.metres)).join(' + '),
          metres * 1000,
          'mm',
        ),
      ],
      paths,
    ),
    figureOf('tapeWidth', t('Tape width'), widthMm, 'length', [
      line(
        'b',
        t('width that is drawn'),
        t('the cheapest that does it'),
        widthMm,
        'mm',
        `card ${card.code}`,
      ),
    ]),
    wrapLength(wrap, survey.family, paths),
    figureOf('wrapThick', t('Thickness'), thicknessMm, 'length', [
      line('t₁', t('ply'), t('as on the card'), card.tape.plyMm, 'mm', `card ${card.code}`),
      line('t', t('thickness'), `${layers}·t₁`, thicknessMm, 'mm'),
    ]),
  ];
}

/** How to remove a cured wrap from a pipe. */
export const WRAP_OFF = [
  m('Drain the line. Saw two lines opposite each other along the wrap, not into the pipe.'),
  m('Chisel along them and prise the halves off. Grind off what is left.'),
];
