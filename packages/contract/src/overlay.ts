import { m } from '@kelmot/core';
import type { Command } from './command';
import { deviationOf, mayMix, mayMove } from './gates';
import { approvedBy, judgeReading } from './judge';
import type { Me } from './people';
import type { RepairView } from './repair';

const elsewhere = ({ plan }: RepairView, planId: string | undefined): boolean =>
  planId !== undefined && planId !== plan?.id;

/**
 * A repair as it will be once a command waiting on the device has been sent: what was typed shows at once.
 * One that the view holds already changes nothing. Commands whose outcome only the server can tell (a new plan, a sign-off) leave the view as it is.
 */
export function applyCommand(view: RepairView, command: Command, who: Me): RepairView {
  const { id, at } = command;
  // What was recorded on a plan that another has taken the place of is kept with that one.
  if ('planId' in command && command.type !== 'plan.make' && elsewhere(view, command.planId))
    return view;
  const waits = { by: who.name, byId: who.id, receivedAt: null };
  const known = [...view.checks, ...view.readings, ...view.mixes].some((r) => r.id === id);
  if (known) return view;
  switch (command.type) {
    case 'check.set': {
      const { stepId, batchNo, done, note } = command;
      return {
        ...view,
        checks: [...view.checks, { id, stepId, batchNo, done, note, at, ...waits }],
      };
    }
    case 'reading.add': {
      const plan = view.plan?.body;
      const hold = plan?.steps.find((s) => s.id === command.stepId)?.hold;
      if (!plan || !hold) return view;
      const { stepId } = command;
      const values = approvedBy(hold, command.values, who);
      const { passed, say } = judgeReading(hold, values, plan);
      return {
        ...view,
        readings: [...view.readings, { id, stepId, values, passed, say, takenAt: at, ...waits }],
      };
    }
    case 'photo.add': {
      const { stepId } = command;
      const values = { kind: 'photo', photoId: id } as const;
      const hold = view.plan?.body.steps.find((s) => s.id === stepId)?.hold;
      const say = hold?.kind === 'photo' ? m('{label}.', { label: hold.label }) : m('');
      return {
        ...view,
        readings: [
          ...view.readings,
          { id, stepId, values, passed: true, say, takenAt: at, ...waits },
        ],
      };
    }
    case 'mix.start': {
      const { batchNo, aG, bG, lot } = command;
      if (mayMix(view, batchNo, { aG, bG }, Date.parse(at))) return view;
      const started = {
        id,
        batchNo,
        aG,
        bG,
        lot,
        deviationPct: deviationOf(view, batchNo, { aG, bG }),
        inTolerance: true,
        startedAt: at,
        placedAt: null,
        binnedAt: null,
        ...waits,
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
      if (mayMove(view, command.station, Date.parse(at))) return view;
      return { ...view, station: command.station, version: view.version + 1 };
    default:
      return view;
  }
}
