import { t } from '../text/text';
import { goFromC } from '../ambient/ambientGate';
import { celsius, m, q, type Message } from '../message/message';
import type { SharedStep } from '../work/ids';
import type { Work } from '../work/work';
import { fits, fitsIf, no, relaxCommon, type Against, type Relax, type Rule } from './rule';

/** A reason that stops the gate: what to do, why, and the single change that would remove it. */
interface Stop {
  condition: Message;
  because: Message;
  against: Against;
  relax: Relax;
  /** The step that does it, if a job has it. */
  step?: SharedStep;
}

/**
 * The highest humidity in whole percent at which a surface within the card's range is above the dew point; null if
 * none.
 */
function driedTo({ card, survey }: Pick<Work, 'card' | 'survey'>): number | null {
  const { maxSurfaceC } = card.ambient;
  for (let rhPct = Math.floor(survey.readings.rhPct); rhPct >= 1; rhPct -= 1)
    if (goFromC({ ...survey.readings, rhPct }, card.ambient) <= maxSurfaceC) return rhPct;
  return null;
}

/** The coldest surface on which this air allows mixing, °C: what sets in water needs only its own minimum. */
const leastC = ({ card, survey }: Pick<Work, 'card' | 'survey'>): number =>
  card.damp === 'wet' || card.damp === 'under-water'
    ? card.ambient.minSurfaceC
    : Math.max(card.ambient.minSurfaceC, goFromC(survey.readings, card.ambient));

/** The lowest holding temperature at which the gate allows mixing, °C; null if it is warm enough. */
export function warmedTo(work: Pick<Work, 'card' | 'survey'>): number | null {
  const least = leastC(work);
  // Rounded up, so that the typed value is on the right side of the limit.
  return work.survey.readings.surfaceC < least - 1e-9 ? Math.ceil(least * 10 - 1e-9) / 10 : null;
}

function surfaceStop(work: Work): Stop | null {
  const { card, survey } = work;
  const { surfaceC } = survey.readings;
  const { maxSurfaceC } = card.ambient;
  if (surfaceC > maxSurfaceC)
    return {
      condition: m('the surface is cooled to {limit}', { limit: celsius(maxSurfaceC) }),
      because: m('The surface is at {got}; {limit} is the most.', {
        got: celsius(surfaceC),
        limit: celsius(maxSurfaceC),
      }),
      against: { value: surfaceC, limit: maxSurfaceC, quantity: 'temperature', sense: 'max' },
      relax: relaxCommon(
        'readings.surfaceC',
        `${maxSurfaceC} °C`,
        m('Would at {limit} or below.', { limit: celsius(maxSurfaceC) }),
      ),
    };
  const least = warmedTo(work);
  if (least === null) return null;
  return {
    condition: m('the surface is warmed to {least} and held there', { least: celsius(least) }),
    because: m('A surface at {got} is too cold for this air.', { got: celsius(surfaceC) }),
    against: { value: surfaceC, limit: least, quantity: 'temperature', sense: 'min' },
    relax: relaxCommon(
      'readings.surfaceC',
      `${least} °C`,
      m('Would at {least} or warmer.', { least: celsius(least) }),
    ),
    step: 'heat',
  };
}

function airStop({ card, survey }: Work): Stop | null {
  const { maxRhPct } = card.ambient;
  const { rhPct } = survey.readings;
  if (rhPct <= maxRhPct || card.damp === 'wet' || card.damp === 'under-water') return null;
  return {
    condition: m('the air is dried to {most}', { most: q(maxRhPct, 'percent') }),
    because: m('Humidity is {got}; {most} is the most.', {
      got: q(rhPct, 'percent'),
      most: q(maxRhPct, 'percent'),
    }),
    against: { value: rhPct, limit: maxRhPct, quantity: 'percent', sense: 'max' },
    relax: relaxCommon(
      'readings.rhPct',
      String(maxRhPct),
      m('Would at {most} or less.', { most: q(maxRhPct, 'percent') }),
    ),
    step: 'dry-air',
  };
}

/** Whether it may be mixed in this air on this surface; two reasons at once have no single remedy. */
export const ambientRule: Rule = {
  id: 'ambient',
  name: t('Surface now'),
  question: t('May it be mixed in this air, on a surface this cold or warm?'),
  judge: (work) => {
    const { card, survey, gate } = work;
    const least = leastC(work);
    const { maxSurfaceC } = card.ambient;
    if (least > maxSurfaceC) {
      const dry = driedTo(work);
      return no(
        () =>
          m('Clear of the dew of this air it would be at {least}; {most} is the most.', {
            least: celsius(least),
            most: celsius(maxSurfaceC),
          }),
        {
          against: { value: least, limit: maxSurfaceC, quantity: 'temperature', sense: 'max' },
          relax:
            dry === null
              ? undefined
              : relaxCommon(
                  'readings.rhPct',
                  String(dry),
                  m('Would with the air dried to {most}.', { most: q(dry, 'percent') }),
                ),
        },
      );
    }
    const stops = [surfaceStop(work), airStop(work)].filter((s): s is Stop => s !== null);
    const [first] = stops;
    if (!first)
      return fits(
        () =>
          card.damp === 'wet' || card.damp === 'under-water'
            ? m('It sets wet: no dew point stands against it.')
            : m('The surface is {margin} above dew point.', {
                margin: q(gate.marginC, 'temperatureStep'),
              }),
        {
          value: survey.readings.surfaceC,
          limit: card.ambient.minSurfaceC,
          quantity: 'temperature',
          sense: 'min',
        },
      );
    return fitsIf(
      () =>
        stops.length === 1
          ? first.condition
          : m('{first}, and {second}', {
              first: first.condition,
              second: (stops[1] as Stop).condition,
            }),
      () =>
        stops.length === 1
          ? first.because
          : m('{first} {second}', { first: first.because, second: (stops[1] as Stop).because }),
      {
        against: first.against,
        relax: stops.length === 1 ? first.relax : undefined,
        steps: stops.every((s) => s.step) ? stops.flatMap((s) => s.step ?? []) : undefined,
      },
    );
  },
};
