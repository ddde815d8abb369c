import type { StepDraft } from '../../plan/step';
import type { WorkUp } from '../../plan/workUp';
import { say } from '../../units/format';

const station = 'accept' as const;
type More = Partial<Omit<StepDraft, 'id' | 'station' | 'text'>>;

/** An inspection of a family’s own. */
export const inspect = (
  id: string,
  title: string,
  minutes: number,
  text: () => string,
  more: More = {},
): StepDraft => ({ id, station, title, minutes, text, hold: { kind: 'check' }, ...more });

/** Eyes, then a coin: one colour, one sound. */
export const lookAndTap = (
  text = 'No pinholes, no lifted edge, one colour. Tap all over: one sound.',
  wrong: NonNullable<StepDraft['wrong']> = [
    { sign: 'Pinholes', remedy: 'Abrade, fill with a wet coat, let it cure.' },
    { sign: 'Hollow sound', remedy: 'Cut that part out to the parent and do it again.' },
  ],
): StepDraft => inspect('look', 'Look and tap', 10, () => text, { wrong });

/** A fingernail says whether it is hard, where no durometer goes. */
export const fingernail = (work: WorkUp): StepDraft =>
  inspect(
    'fingernail',
    'Fingernail',
    3,
    () =>
      `Press a fingernail into the repair and into the kept sample: no mark on either. ${work.card.mix.kind === 'cartridge' ? 'The purge is the witness.' : 'The sample is the witness.'}`,
    {
      wrong: [
        {
          sign: 'It takes a mark',
          remedy: 'Warm it, wait; still soft: cut it out, it was off ratio.',
        },
      ],
    },
  );

/** Hardness by the card: three readings or more, none under its least. */
export function hardness({ card }: WorkUp): StepDraft[] {
  const hard = card.service.hardness;
  if (!hard) return [];
  return [
    inspect(
      'hardness',
      'Hardness',
      10,
      () =>
        `Shore ${hard.scale} ${hard.least} or more, three readings on the repair or on the batch sample.`,
      {
        hold: {
          kind: 'hardness',
          target: hard.least,
          minReadings: 3,
          minSharePct: 100,
          scale: hard.scale,
        },
        figures: ['hardness'],
        wrong: [
          { sign: 'Soft spot', remedy: 'Bad mixing or too cold. Warm it; still soft: cut it out.' },
        ],
      },
    ),
  ];
}

/** Pressure in steps up to service; the code that governs decides how far past it. */
export function pressureSteps({ demand }: WorkUp): StepDraft[] {
  const bar = demand.pressureBar;
  if (bar <= 0) return [];
  return [0.5, 1].map((share) =>
    inspect(
      `pressure-${share * 100}`,
      share < 1 ? 'Half pressure' : 'Service pressure',
      share < 1 ? 15 : 30,
      () =>
        `Raise to ${say(bar * share, 'pressure')} slowly, nobody in line with the repair. Hold ${share < 1 ? 10 : 30} min, look for weeping. ${share < 1 ? 'Dry: go on.' : 'The code that governs the line says how far past service it is tested.'}`,
      {
        hold: {
          kind: 'reading',
          label: 'Pressure held',
          quantity: 'pressure',
          min: bar * share,
          max: null,
        },
        wrong: [
          {
            sign: 'It weeps',
            remedy: 'Down to nothing, drain, take it off, do it again. Do not wrap over a leak.',
          },
        ],
      },
    ),
  );
}

/** Thickness against the plan: mean on target, none under four fifths. */
export const thickness = (targetMm: number, minReadings: number, text: string): StepDraft =>
  inspect('thickness', 'Thickness', 10, () => text, {
    hold: { kind: 'thickness', targetMm, minReadings },
    wrong: [
      {
        sign: 'Too thin',
        remedy: 'Abrade, wipe, lay what is missing; it counts from the new coat.',
      },
    ],
  });

/** Everything tidied, what is left over made safe, people told when it may be used. */
export const tidy = (work: WorkUp): StepDraft =>
  inspect(
    'tidy',
    'Tidy, hand back',
    10,
    () =>
      `Strings and flash off. Leftovers spread to cool, bagged, labelled, binned by your site’s rules. ${work.card.openedPack} Say from when what is allowed, and when it is looked at again.`,
  );
