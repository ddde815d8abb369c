import { coverOf } from '../../plan/quantity';
import type { StepDraft } from '../../plan/step';
import type { WorkUp } from '../../plan/workUp';
import { mm } from './prep';

const station = 'build' as const;

/** Minutes to place one coat, all its batches. */
export const placeMinutes = ({ batch }: Pick<WorkUp, 'batch'>): number =>
  batch.ok ? batch.minutesToPlace * batch.batches : 0;

/** Minutes to place everything, all coats. */
export const placeAll = (work: Pick<WorkUp, 'batch' | 'coats'>): number =>
  placeMinutes(work) * work.coats;

/** A step of building of a family’s own. */
export const build = (
  id: string,
  title: string,
  minutes: number,
  text: () => string,
  more: Partial<Omit<StepDraft, 'id' | 'station' | 'text'>> = {},
): StepDraft => ({ id, station, title, minutes, text, hold: { kind: 'check' }, ...more });

/** One step a coat: scrubbed in first, inside the window or abraded after. */
export function coatSteps(
  work: WorkUp,
  words: { first: string; last?: string; people?: number },
): StepDraft[] {
  const { coats, coatMm } = work;
  const each = placeMinutes(work);
  return Array.from({ length: coats }, (_, i) => {
    const n = i + 1;
    return build(
      `coat-${n}`,
      coats === 1 ? 'Place it' : `Coat ${n} of ${coats}`,
      each,
      () =>
        [
          n === 1
            ? words.first
            : 'Inside the overcoat window, or abrade first: a shiny coat does not hold.',
          `${mm(coatMm)}${n === 1 ? '' : ' more'}, from the middle out so that air leaves.`,
          n === coats ? (words.last ?? '') : '',
        ]
          .filter(Boolean)
          .join(' '),
      {
        people: words.people ?? 2,
        waitsFor: n === 1 ? null : 'overcoatOpens',
        figures:
          coats > 1
            ? ['coats', 'coat', 'cure.overcoatOpens', 'cure.overcoatCloses']
            : ['coats', 'coat'],
        wrong: [
          {
            sign: 'It sags',
            remedy: 'Take the excess off while wet; build the rest as another coat.',
          },
          { sign: 'Trapped air', remedy: 'Slit, press out, close over while wet.' },
        ],
      },
    );
  });
}

/** Whether what is placed is struck flush while soft; else it is left proud and ground. */
export const strikes = ({ context }: Pick<WorkUp, 'context'>): boolean =>
  context.schools?.proud === 'strike';

/** Strips, sheets and drops over the damage, where the card is a sheet that covers it; else null. */
export function coverIn({ card, demand }: Pick<WorkUp, 'card' | 'demand'>) {
  const made = coverOf(card, demand);
  return made?.ok ? made : null;
}
