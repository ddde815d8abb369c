import { ambientGate } from '@kelmot/core/ambient/ambientGate';
import { hardness } from '@kelmot/core/inspect/hardness';
import { prepKindOf, say, type Hold, type Plan } from '@kelmot/core';
import type { ReadingValues } from './repair';

export interface ReadingVerdict {
  passed: boolean;
  /** One short sentence with the number and the limit. */
  say: string;
}

/** No thickness under this share of what was planned, as film gauges are read: four fifths. */
const LEAST_SHARE = 0.8;

function judgeThickness(
  hold: Extract<Hold, { kind: 'thickness' }>,
  valuesMm: number[],
): ReadingVerdict {
  const missing = hold.minReadings - valuesMm.length;
  if (missing > 0) return { passed: false, say: `Take ${missing} more.` };
  const mean = valuesMm.reduce((sum, v) => sum + v, 0) / valuesMm.length;
  const least = Math.min(...valuesMm);
  const mm = (x: number) => say(x, 'length');
  const target = mm(hold.targetMm);
  if (mean < hold.targetMm - 1e-9)
    return { passed: false, say: `Stop: mean ${mm(mean)}; it needs ${target}.` };
  if (least < hold.targetMm * LEAST_SHARE - 1e-9)
    return {
      passed: false,
      say: `Stop: lowest ${mm(least)}; no place under ${mm(hold.targetMm * LEAST_SHARE)}.`,
    };
  return { passed: true, say: `Mean ${mm(mean)}, lowest ${mm(least)}; it needs ${target}.` };
}

/** Judges a reading against the hold it was taken for: the same on the device and on the server. */
export function judgeReading(hold: Hold, values: ReadingValues, plan: Plan): ReadingVerdict {
  if (hold.kind === 'ambient' && values.kind === 'ambient') {
    const { airC, rhPct, surfaceC } = values;
    const limits = plan.card.ambient;
    const gate = ambientGate({ airC, rhPct, surfaceC, ...limits });
    const celsius = (x: number) => say(x, 'temperature');
    const it = prepKindOf(plan.survey.parent.material) === 'metal' ? 'steel' : 'the surface';
    const reasons: Record<string, string> = {
      'dew-margin': `${it} is ${celsius(gate.marginC)} above dew point; it needs ${limits.minAboveDewC}`,
      humidity: `humidity is ${say(rhPct, 'percent')}; ${limits.maxRhPct} is the most`,
      'too-cold': `${it} is at ${celsius(surfaceC)}; it needs ${limits.minSurfaceC}`,
      'too-hot': `${it} is at ${celsius(surfaceC)}; ${limits.maxSurfaceC} is the most`,
    };
    const first = gate.reasons[0];
    return {
      passed: gate.verdict === 'go',
      say: first
        ? `Stop: ${reasons[first]}.`
        : `Go. ${it[0]?.toUpperCase() ?? ''}${it.slice(1)} is ${celsius(gate.marginC)} above dew point; it needs ${limits.minAboveDewC}.`,
    };
  }
  if (hold.kind === 'hardness' && values.kind === 'hardness') {
    const { verdict, min } = hardness({
      readings: values.values,
      target: hold.target,
      minReadings: hold.minReadings,
      minSharePct: hold.minSharePct,
    });
    const words = {
      more: `Take ${hold.minReadings - values.values.length} more.`,
      accept: `Lowest ${min}; it needs ${hold.target}.`,
      reject: `Stop: lowest ${min}; it needs ${hold.target}.`,
    };
    return { passed: verdict === 'accept', say: words[verdict] };
  }
  if (hold.kind === 'reading' && values.kind === 'reading') {
    const { min, max, quantity } = hold;
    const got = say(values.value, quantity);
    if (min !== null && values.value < min)
      return { passed: false, say: `Stop: ${got}; ${say(min, quantity)} is the least.` };
    if (max !== null && values.value > max)
      return { passed: false, say: `Stop: ${got}; ${say(max, quantity)} is the most.` };
    return { passed: true, say: `${got} is inside the limits.` };
  }
  if (hold.kind === 'thickness' && values.kind === 'thickness')
    return judgeThickness(hold, values.valuesMm);
  if (hold.kind === 'countdown' && values.kind === 'countdown')
    return { passed: true, say: `${hold.label}, ${say(hold.minutes, 'time')}.` };
  if (hold.kind === 'photo' && values.kind === 'photo')
    return { passed: true, say: `${hold.label}.` };
  if (hold.kind === 'approval' && values.kind === 'approval')
    return { passed: true, say: `Approved by ${values.name}, ${values.reference}.` };
  return { passed: false, say: 'This reading does not belong to this step.' };
}
