import { ambientGate } from '@kelmot/core/ambient/ambientGate';
import { hardness } from '@kelmot/core/inspect/hardness';
import { celsius, minutes, mm } from '@kelmot/core/message/message';
import { m, prepKindOf, q, type Hold, type Message, type Plan, t } from '@kelmot/core';
import type { Me } from './people';
import type { ReadingValues } from './records';

export interface ReadingVerdict {
  passed: boolean;
  /** The verdict in one short sentence, with the measured value and its limit. */
  say: Message;
}

const EPS = 1e-9;

function judgeThickness(
  hold: Extract<Hold, { kind: 'thickness' }>,
  valuesMm: number[],
): ReadingVerdict {
  const missing = hold.minReadings - valuesMm.length;
  if (missing > 0) return { passed: false, say: m('Take {missing} more.', { missing }) };
  const mean = valuesMm.reduce((sum, v) => sum + v, 0) / valuesMm.length;
  const least = Math.min(...valuesMm);
  const floor = hold.targetMm * hold.leastShare;
  const given = { mean: mm(mean), least: mm(least), target: mm(hold.targetMm), floor: mm(floor) };
  if (mean < hold.targetMm - EPS)
    return { passed: false, say: m('Stop: mean {mean}; it needs {target}.', given) };
  if (least < floor - EPS)
    return { passed: false, say: m('Stop: lowest {least}; no place under {floor}.', given) };
  return { passed: true, say: m('Mean {mean}, lowest {least}; it needs {target}.', given) };
}

function judgeAir(values: Extract<ReadingValues, { kind: 'ambient' }>, plan: Plan): ReadingVerdict {
  const { airC, rhPct, surfaceC } = values;
  const limits = plan.card.ambient;
  const gate = ambientGate({ airC, rhPct, surfaceC, ...limits });
  const metal = prepKindOf(plan.survey.parent.material) === 'metal';
  const given = {
    what: metal ? t('Steel') : t('The surface'),
    margin: q(gate.marginC, 'temperatureStep'),
    needs: q(limits.minAboveDewC, 'temperatureStep'),
    rh: q(rhPct, 'percent'),
    mostRh: q(limits.maxRhPct, 'percent'),
    surface: celsius(surfaceC),
    coldest: celsius(limits.minSurfaceC),
    hottest: celsius(limits.maxSurfaceC),
  };
  const reasons: Record<string, string> = {
    'dew-margin': t('Stop. {what} is {margin} above dew point; it needs {needs}.'),
    humidity: t('Stop. Humidity is {rh}; {mostRh} is the most.'),
    'too-cold': t('Stop. {what} is at {surface}; it needs {coldest}.'),
    'too-hot': t('Stop. {what} is at {surface}; {hottest} is the most.'),
  };
  const first = gate.reasons[0];
  return {
    passed: gate.verdict === 'go',
    say: m(
      (first && reasons[first]) ?? 'Go. {what} is {margin} above dew point; it needs {needs}.',
      given,
    ),
  };
}

/**
 * A reading as it is stored: an approval by an authorised account carries that account and its name; another one
 * carries the typed name and no account.
 */
export function approvedBy(
  hold: Hold,
  values: ReadingValues,
  who: Pick<Me, 'id' | 'name' | 'approves'>,
): ReadingValues {
  if (values.kind !== 'approval' || hold.kind !== 'approval') return values;
  return who.approves.includes(hold.who)
    ? { ...values, name: who.name, account: who.id }
    : { ...values, account: null };
}

/** Judges a reading against its hold: the same on device and server. */
export function judgeReading(hold: Hold, values: ReadingValues, plan: Plan): ReadingVerdict {
  if (values.kind === 'override')
    return { passed: true, say: m('Skipped: {why}', { why: values.why }) };
  if (hold.kind === 'ambient' && values.kind === 'ambient') return judgeAir(values, plan);
  if (hold.kind === 'hardness' && values.kind === 'hardness') {
    const { verdict, min } = hardness({
      readings: values.values,
      target: hold.target,
      minReadings: hold.minReadings,
      minSharePct: hold.minSharePct,
    });
    const given = { missing: hold.minReadings - values.values.length, min, target: hold.target };
    const words = {
      more: 'Take {missing} more.',
      accept: t('Lowest {min}; it needs {target}.'),
      reject: t('Stop: lowest {min}; it needs {target}.'),
    };
    return { passed: verdict === 'accept', say: m(words[verdict], given) };
  }
  if (hold.kind === 'reading' && values.kind === 'reading') {
    const { min, max, quantity } = hold;
    const got = q(values.value, quantity);
    if (min !== null && values.value < min - EPS)
      return {
        passed: false,
        say: m('Stop: {got}; {min} is the least.', { got, min: q(min, quantity) }),
      };
    if (max !== null && values.value > max + EPS)
      return {
        passed: false,
        say: m('Stop: {got}; {max} is the most.', { got, max: q(max, quantity) }),
      };
    return { passed: true, say: m('{got} is within the limits.', { got }) };
  }
  if (hold.kind === 'thickness' && values.kind === 'thickness')
    return judgeThickness(hold, values.valuesMm);
  if (hold.kind === 'countdown' && values.kind === 'countdown')
    return {
      passed: true,
      say: m('{label}, {time}.', { label: hold.label, time: minutes(hold.minutes) }),
    };
  if (hold.kind === 'photo' && values.kind === 'photo')
    return { passed: true, say: m('{label}.', { label: hold.label }) };
  if (hold.kind === 'approval' && values.kind === 'approval') {
    const { name, reference, account } = values;
    const text =
      account === null
        ? t('Approved by {name}, {reference}. The name was typed; it is not verified.')
        : t('Approved by {name}, {reference}, signed in.');
    return { passed: true, say: m(text, { name, reference }) };
  }
  return { passed: false, say: m('This step does not need this reading.') };
}
