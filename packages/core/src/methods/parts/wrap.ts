import { fig, line } from '../../calc/calc';
import { figureOf, type Figure } from '../../plan/figure';
import type { StepDraft } from '../../plan/step';
import type { WorkUp } from '../../plan/workUp';
import { build, placeAll } from './build';
import { mm } from './prep';

/** Whether the job is a wrap at all: a plug alone is none. */
export const isWrap = ({ wrap }: Pick<WorkUp, 'wrap'>): boolean => wrap !== null;

/** Laying the tape: where it starts, how it is pulled, when it is done. */
export function layTape(work: WorkUp, more: Partial<StepDraft> = {}): StepDraft[] {
  const { wrap, card } = work;
  if (!wrap || !card.tape) return [];
  const { lay, layers, lengthMm } = wrap;
  return [
    build(
      'wrap',
      `Wrap ${lay.passes} ${lay.passes === 1 ? 'pass' : 'passes'}`,
      placeAll(work),
      () =>
        `Start ${mm(lengthMm / 2)} before the middle of the damage with one square turn. Tight, half overlapped, ${lay.passes} ${
          lay.passes === 1 ? 'pass' : 'passes'
        } to and fro for ${layers} layers; a square turn at the end. ${lay.metres.toFixed(1)} m of tape.`,
      {
        people: 2,
        figures: ['layers', 'tape', 'wrapLength', 'wrapThick'],
        wrong: [
          { sign: 'A wrinkle', remedy: 'Pull back to it and lay it again while it is wet.' },
          { sign: 'Dry cloth', remedy: 'Wet it, squeeze through; a dry ply is no ply.' },
        ],
        ...more,
      },
    ),
  ];
}

/** Figures of a wrap: layers, tape, length, thickness, and the design where there is one. */
export function wrapFigures({ wrap, card, survey }: WorkUp): Figure[] {
  if (!wrap || !card.tape) return [];
  const { lay, layers, lengthMm, design } = wrap;
  const paths = ['damages.0.outsideDiameterMm', 'line.pressureBar'];
  const least = card.mix.kind === 'water-set' ? card.mix.leastLayers : layers;
  const whys = design?.ok
    ? design.working
    : [line('n', 'least layers', 'as on the card', least, '', `card ${card.code}`)];
  return [
    figureOf(
      'layers',
      'Layers',
      layers,
      'count',
      [...whys, line('n', 'layers', fig(layers), layers)],
      paths,
    ),
    figureOf(
      'tape',
      'Tape',
      lay.metres * 1000,
      'length',
      [...lay.working, line('L', 'tape in all', `${fig(lay.metres)} m`, lay.metres * 1000, 'mm')],
      paths,
    ),
    figureOf(
      'wrapLength',
      'Wrapped length',
      lengthMm,
      'length',
      [
        ...(design?.ok ? design.working : []),
        line(
          'Lw',
          'wrapped length',
          design?.ok ? 'damage and both overlaps and tapers' : 'damage and the extent both ways',
          lengthMm,
          'mm',
          survey.family,
        ),
      ],
      paths,
    ),
    figureOf('wrapThick', 'Thickness', lay.thicknessMm, 'length', [
      line('t₁', 'ply', 'as on the card', card.tape.plyMm, 'mm', `card ${card.code}`),
      line('t', 'thickness', `${layers}·t₁`, lay.thicknessMm, 'mm'),
    ]),
  ];
}

/** How a cured wrap comes off a pipe. */
export const WRAP_OFF = [
  'Drain the line. Saw two lines opposite each other along the wrap, not into the pipe.',
  'Chisel along them and prise the halves off. Grind off what is left.',
];
