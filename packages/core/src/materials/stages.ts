import type { Mix } from './mix';
import { m, minutes, type Message } from '../message/message';

/** A timed stage of preparing a material, from the end of the one before or from mixing. */
export interface MixStage {
  /** What happens in it. */
  label: Message;
  minutes: number;
  /** What to do when it ends. */
  then: Message;
}

/** A wrap that lies still under water takes this many times longer than one that is squeezed. */
const STILL_TIMES = 2;

/** Minutes of a wrap under water, by how it is soaked (see SCHOOLS). */
export const soakMinutes = (
  { soakSeconds }: Extract<Mix, { kind: 'water-set' }>,
  soak: string | undefined,
): number => (soakSeconds * (soak === 'still' ? STILL_TIMES : 1)) / 60;

/** The stages of a batch before placing, in order, by its card: all within its working life, which begins at mixing. */
export function mixStages(mix: Mix, schools: Readonly<Record<string, string>>): MixStage[] {
  const ready = m('{sign}? Then place it.', { sign: mix.mixedSign });
  const mixing = { label: m('Mixing'), minutes: mix.mixMinutes, then: ready };
  switch (mix.kind) {
    case 'powder-water':
      return mix.restMinutes > 0
        ? [
            { ...mixing, then: m('Let it rest {rest}.', { rest: minutes(mix.restMinutes) }) },
            {
              label: m('At rest'),
              minutes: mix.restMinutes,
              then: m('Mix it again. Add the rest of the water only until it is right.'),
            },
          ]
        : [mixing];
    case 'water-set':
      return [
        {
          label: m('Under water'),
          minutes: soakMinutes(mix, schools.soak),
          then:
            schools.soak === 'still'
              ? m('Lift it out and let it drip. Wrap at once.')
              : m(
                  'Squeeze it {n, plural, one {once} other {# times}} and lift it out. Wrap at once.',
                  {
                    n: mix.squeezes,
                  },
                ),
        },
      ];
    // It mixes in its nozzle.
    case 'cartridge':
      return [];
    case 'single':
      return [{ ...mixing, label: m('Making it ready') }];
    default:
      return [mixing];
  }
}
