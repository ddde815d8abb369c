import { MILESTONE_NAMES } from '../materials/card';
import { clockText, dayClockText } from './clock';
import type { PlanGist } from './gist';
import { stripOf, type Strip } from './strip';

/** A batch as it was mixed: moments in epoch ms. */
export interface MixedBatch {
  batchNo: number;
  startedAt: number;
  placedAt: number | null;
  binned: boolean;
}

/** What to do next in a running repair: a moment the clock counts to, the words, and how urgent. */
export interface NextAct {
  phase: 'place' | 'overcoat-wait' | 'overcoat' | 'overcoat-missed' | 'cure' | 'ready';
  clockTo: number | null;
  say: string;
  second: string;
  strip: Strip;
  coat: number;
}

const MINUTE = 60_000;

/** The batches that count: those not binned, in order of mixing. */
const sound = (mixes: MixedBatch[]): MixedBatch[] =>
  mixes.filter((m) => !m.binned).sort((p, q) => p.startedAt - q.startedAt);

/** Numbers of the planned batches that are still to be mixed. */
export function openBatches(plan: Pick<PlanGist, 'batches'>, mixes: MixedBatch[]): number[] {
  const done = new Set(sound(mixes).map((m) => m.batchNo));
  return plan.batches.map((b) => b.no).filter((no) => !done.has(no));
}

/** When the last sound batch was mixed: every cure time counts from there. */
export function mixedAt(mixes: MixedBatch[]): number | null {
  const last = sound(mixes).at(-1);
  return last ? last.startedAt : null;
}

/** The next act of a repair once mixing has begun; null before. `now` in epoch ms. */
export function nextAct(
  plan: PlanGist,
  mixes: MixedBatch[],
  now: number,
  zoneMin: number,
): NextAct | null {
  const all = sound(mixes);
  const last = all.at(-1);
  if (!last) return null;
  const strip = stripOf(plan, last.startedAt);
  const clock = (at: number) => dayClockText(at, now, zoneMin);
  const coat = plan.batches.find((b) => b.no === last.batchNo)?.coat ?? 1;
  const wet = all.find((m) => m.placedAt === null);
  if (wet) {
    const batch = plan.batches.find((b) => b.no === wet.batchNo);
    const placeBy = wet.startedAt + (batch?.placeByMin ?? 0) * MINUTE;
    const ends = wet.startedAt + (batch?.lifeMin ?? 0) * MINUTE;
    const missed = now > ends;
    return {
      phase: 'place',
      clockTo: placeBy,
      say: missed
        ? 'Stop. The pail is past its life: spread it thin, bin it.'
        : `Place it by ${clockText(placeBy, zoneMin)}.`,
      second: missed ? `It ended ${clock(ends)}.` : `The pail is done ${clockText(ends, zoneMin)}.`,
      strip: stripOf(plan, wet.startedAt),
      coat,
    };
  }
  const next = openBatches(plan, mixes)[0];
  const nextCoat = plan.batches.find((b) => b.no === next)?.coat;
  if (next !== undefined && nextCoat === coat) {
    const ends = strip.segments[1]?.to ?? strip.start;
    return {
      phase: 'overcoat',
      clockTo: ends,
      say: `Mix batch ${next} while it is wet.`,
      second: `It sets from ${clock(ends)}.`,
      strip,
      coat,
    };
  }
  if (next !== undefined && strip.window) {
    const { from, to } = strip.window;
    const common = { strip, coat };
    if (now < from)
      return {
        phase: 'overcoat-wait',
        clockTo: from,
        say: `Coat ${nextCoat} from ${clock(from)},`,
        second: `and before ${clock(to)}.`,
        ...common,
      };
    if (now <= to)
      return {
        phase: 'overcoat',
        clockTo: to,
        say: `Overcoat before ${clock(to)},`,
        second: 'or abrade first.',
        ...common,
      };
    return {
      phase: 'overcoat-missed',
      clockTo: null,
      say: 'Abrade first.',
      second: `The window closed ${clock(to)}.`,
      ...common,
    };
  }
  const name = MILESTONE_NAMES[plan.needed];
  if (now < strip.ready) {
    return {
      phase: 'cure',
      clockTo: strip.ready,
      say: `Good for ${name} from ${clock(strip.ready)},`,
      second: `needed by ${clock(strip.deadline)}${strip.late ? ': late' : ''}.`,
      strip,
      coat,
    };
  }
  return {
    phase: 'ready',
    clockTo: null,
    say: 'Cured. Inspect and accept.',
    second: `Good for ${name} since ${clock(strip.ready)}.`,
    strip,
    coat,
  };
}
