import { goFromC } from '../ambient/ambientGate';
import type { WorkUp } from '../plan/workUp';
import { say } from '../units/format';
import { fits, fitsIf, type Against, type Relax, type Rule } from './rule';

const celsius = (x: number) => say(x, 'temperature');

/** One thing that stops the gate: what must be done, why, its figure, and the change that would undo it alone. */
interface Stop {
  condition: string;
  because: string;
  against: Against;
  relax: Relax;
}

function surfaceStop({ card, survey, gate }: WorkUp, against: Against): Stop | null {
  const { surfaceC } = survey.readings;
  const { limit } = against;
  const path = 'readings.surfaceC';
  if (gate.reasons.includes('too-hot'))
    return {
      condition: `the surface is cooled to ${celsius(limit)}`,
      because: `The surface is at ${celsius(surfaceC)}; ${celsius(limit)} is the most.`,
      against,
      relax: {
        say: `Would at ${celsius(limit)} or below.`,
        path,
        text: `${card.ambient.maxSurfaceC} °C`,
      },
    };
  if (!gate.reasons.includes('dew-margin') && !gate.reasons.includes('too-cold')) return null;
  // Rounded up, so that what is typed is on the right side of the limit.
  const text = `${Math.ceil(limit * 10) / 10} °C`;
  return {
    condition: `the surface is warmed to ${text}`,
    because: `A surface at ${celsius(surfaceC)} is too cold for this air.`,
    against,
    relax: { say: `Would at ${text} or warmer.`, path, text },
  };
}

function airStop({ card, survey, gate }: WorkUp): Stop | null {
  if (!gate.reasons.includes('humidity')) return null;
  const { maxRhPct } = card.ambient;
  const { rhPct } = survey.readings;
  return {
    condition: `the air is dried to ${maxRhPct} %`,
    because: `Humidity is ${rhPct} %; ${maxRhPct} is the most.`,
    against: { value: rhPct, limit: maxRhPct, quantity: 'percent', sense: 'max' },
    relax: {
      say: `Would at ${maxRhPct} % or less.`,
      path: 'readings.rhPct',
      text: String(maxRhPct),
    },
  };
}

/** Whether it may be mixed in this air on this surface; two stops at once have no single change that undoes them. */
export const ambientRule: Rule = {
  id: 'ambient',
  name: 'Surface now',
  question: 'May it be mixed in this air, on a surface this cold or warm?',
  judge: (work) => {
    const { card, survey, gate } = work;
    const { minSurfaceC, maxSurfaceC } = card.ambient;
    const { surfaceC } = survey.readings;
    const hot = surfaceC > maxSurfaceC;
    const against: Against = {
      value: surfaceC,
      limit: hot ? maxSurfaceC : Math.max(minSurfaceC, goFromC(survey.readings, card.ambient)),
      quantity: 'temperature',
      sense: hot ? 'max' : 'min',
    };
    const stops = [surfaceStop(work, against), airStop(work)].filter((s): s is Stop => s !== null);
    const [first] = stops;
    if (!first)
      return fits(() => `The surface is ${celsius(gate.marginC)} above dew point.`, against);
    return fitsIf(
      stops.map((s) => s.condition).join(' and '),
      stops.map((s) => s.because).join(' '),
      { against: first.against, relax: stops.length === 1 ? first.relax : undefined },
    );
  },
};
