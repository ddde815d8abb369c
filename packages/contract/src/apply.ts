import { checkWeighed, m, planBatches } from '@kelmot/core';
import type { Command } from './command';
import { judgeReading } from './judge';
import { mixOf } from './weighed';
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
      const { stepId, batchNo, done, note } = command;
      return { ...view, checks: [...view.checks, { id, stepId, batchNo, done, note, at, by }] };
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
    case 'photo.add': {
      const { stepId } = command;
      const values = { kind: 'photo', photoId: id } as const;
      const hold = view.plan?.body.steps.find((s) => s.id === stepId)?.hold;
      const say = hold?.kind === 'photo' ? m('{label}.', { label: hold.label }) : m('');
      return {
        ...view,
        readings: [...view.readings, { id, stepId, values, passed: true, say, takenAt: at, by }],
      };
    }
    case 'mix.start': {
      const plan = view.plan?.body;
      const batch = plan && planBatches(plan).find((b) => b.no === command.batchNo);
      if (!plan || !batch) return view;
      const { batchNo, aG, bG, lot } = command;
      const check =
        aG !== null && bG !== null
          ? checkWeighed(
              mixOf(plan, batch),
              { aG, bG },
              batch.consistency,
              plan.survey.surface.slope,
            )
          : null;
      const started = {
        id,
        batchNo,
        aG,
        bG,
        lot,
        deviationPct: check?.deviationPct ?? null,
        inTolerance: check === null || check.verdict === 'in',
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
