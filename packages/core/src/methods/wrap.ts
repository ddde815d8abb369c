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
        wrong('A wrinkle', 'Pull back to it and lay it again while it is wet.'),
        wrong('Dry cloth', 'Wet it, squeeze through; a dry ply is no ply.'),
      ],
      ...more,
    },
  );
}

export const WRAP_FIGURES = ['layers', 'tape', 'tapeWidth', 'wrapLength', 'wrapThick'] as const;

/** Figures of a wrap: layers, tape, length, thickness, and its design if there is one. */
export function wrapFigures({ wrap, card, survey, demand }: Work): Figure[] {
  if (!wrap || !card.tape) return [];
  const { lays, layers, lengthsMm, design, metres, widthMm, thicknessMm } = wrap;
  const paths = ['damages.0.outsideDiameterMm', 'line.pressureBar'];
  const least = card.mix.kind === 'water-set' ? card.mix.leastLayers : layers;
  const whys = design?.ok
    ? design.working
    : [line('n', 'least layers', 'as on the card', least, '', `card ${card.code}`)];
  const { fitting = 'straight' } = demand.wrap ?? {};
  const factor = FITTING_FACTOR[fitting];
  const round =
    factor === 1 ? [] : [line('k', `on this ${fitting}`, 'usual', factor, '', 'ISO 24817')];
  const length = lengthsMm[0] ?? 0;
  return [
    figureOf(
      'layers',
      'Layers',
      layers,
      'count',
      [
        ...whys,
        ...round,
        line('N', 'layers', factor === 1 ? 'n' : `n·${formatFigure(factor)}, rounded up`, layers),
      ],
      paths,
    ),
    figureOf(
      'tape',
      'Tape',
      metres * 1000,
      'run',
      [
        ...lays.flatMap((l) => l.working),
        line(
          'L',
          'tape in all',
          lays.map((l) => formatFigure(l.metres)).join(' + '),
          metres * 1000,
          'mm',
        ),
      ],
      paths,
    ),
    figureOf('tapeWidth', 'Tape width', widthMm, 'length', [
      line(
        'b',
        'width that is drawn',
        'the cheapest that does it',
        widthMm,
        'mm',
        `card ${card.code}`,
      ),
    ]),
    figureOf(
      'wrapLength',
      'Wrapped length',
      length,
      'length',
      [
        ...(design?.ok ? design.working : []),
        line(
          'Lw',
          'wrapped length',
          design?.ok ? 'damage and both overlaps and tapers' : 'damage and the extent both ways',
          length,
          'mm',
          survey.family,
        ),
      ],
      paths,
    ),
    figureOf('wrapThick', 'Thickness', thicknessMm, 'length', [
      line('t₁', 'ply', 'as on the card', card.tape.plyMm, 'mm', `card ${card.code}`),
      line('t', 'thickness', `${layers}·t₁`, thicknessMm, 'mm'),
    ]),
  ];
}

/** How to remove a cured wrap from a pipe. */
export const WRAP_OFF = [
  m('Drain the line. Saw two lines opposite each other along the wrap, not into the pipe.'),
  m('Chisel along them and prise the halves off. Grind off what is left.'),
];
