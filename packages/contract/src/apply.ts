import { mixCheck } from '@kelmot/core/mix/mixCheck';
import type { Command } from './command';
import { judgeReading } from './judge';
import type { RepairView } from './repair';

/**
 * A repair as it will be once a command waiting on the device has been sent: what was typed shows at once.
 * One that the view holds already changes nothing. Commands whose outcome only the server can tell (a new plan, a sign-off) leave the view as it is.
 */
export function applyCommand(view: RepairView, command: Command, by: string): RepairView {
  const { id, at } = command;
  const known = [...view.checks, ...view.readings, ...view.mixes].some((r) => r.id === id);
  if (known) return view;
  switch (command.type) {
    case 'check.set': {
      const { stepId, done, note } = command;
      return { ...view, checks: [...view.checks, { id, stepId, done, note, at, by }] };
    }
    case 'reading.add': {
      const plan = view.plan?.body;
      const hold = plan?.steps.find((s) => s.id === command.stepId)?.hold;
      if (!plan || !hold) return view;
      const { stepId, values } = command;
      const { passed, say } = judgeReading(hold, values, plan);
      return {
        ...view,
        readings: [...view.readings, { id, stepId, values, passed, say, takenAt: at, by }],
      };
    }
    case 'mix.start': {
      const mix = view.plan?.body.card.mix;
      // Only what is weighed in two parts has a ratio to be off.
      if (mix?.kind !== 'two-part') return view;
      const { batchNo, aG, bG, lot } = command;
      const { ratio, densityA, densityB, tolerancePct } = mix;
      const { deviationPct, verdict } = mixCheck({
        ratio,
        densityA,
        densityB,
        tolerancePct,
        weighed: { aG, bG },
      });
      const started = {
        id,
        batchNo,
        aG,
        bG,
        lot,
        deviationPct,
        inTolerance: verdict === 'in',
        startedAt: at,
        placedAt: null,
        binnedAt: null,
        by,
      };
      return { ...view, station: 'build', mixes: [...view.mixes, started] };
    }
    case 'mix.placed':
      return {
        ...view,
        mixes: view.mixes.map((m) => (m.id === command.mixId ? { ...m, placedAt: at } : m)),
      };
    case 'mix.binned':
      return {
        ...view,
        mixes: view.mixes.map((m) => (m.id === command.mixId ? { ...m, binnedAt: at } : m)),
      };
    case 'station.move':
      return { ...view, station: command.station, version: view.version + 1 };
    default:
      return view;
  }
}
