import { m, surveyTitle, MINUTE, type Message, type Plan, type Survey } from '@kelmot/core';
import { validRecords } from './carry';
import type { Command } from './command';
import { curedByServer, deviationOf, mayMix, mayMove } from './gates';
import { approvedBy } from './judge';
import { judgeOfStep } from './timed';
import { isOfRepair, judgeOfRepair } from './ofRepair';
import type { Me } from './people';
import type { LastPlan, RepairView } from './repair';
import type { Mix, Reading } from './records';
import { nextLooks } from './reviews';
import { recordedLines } from './story';

type CommandOf<T extends Command['type']> = Extract<Command, { type: T }>;

/** A choice of system, for making a plan. */
export type Choice = Pick<
  CommandOf<'plan.make'>,
  'cardCode' | 'at' | 'intent' | 'schools' | 'seconds'
>;

/** What a device knows besides the repair: enough to plan as the server will. */
export interface OnDevice {
  who: Me;
  /** The plan for a survey and a choice; null if it cannot be made here, or does not fit. */
  plan: (survey: Survey, choice: Choice) => Plan | null;
  /** The time zone of the site's calendar. */
  zone: string;
}

/** The fields of a repair's head that come from its survey. */
export const headOfSurvey = (survey: Survey) => ({
  family: survey.family,
  tag: survey.asset.tag,
  assetName: survey.asset.name,
  position: survey.asset.position,
  title: surveyTitle(survey),
  intent: survey.intent,
  survey,
  backBy: new Date(
    Date.parse(survey.window.startAt) + survey.window.downMin * MINUTE,
  ).toISOString(),
});

/** A repair that was begun on this device and is not on the server yet. */
export function createdRepair({ repairId, at, survey }: CommandOf<'repair.create'>): RepairView {
  return {
    ...headOfSurvey(survey),
    ...NO_RECORDS,
    id: repairId,
    assetId: survey.asset.id,
    station: 'match',
    status: 'open',
    version: 1,
    createdAt: at,
    updatedAt: at,
    plan: null,
    earlier: [],
    last: null,
    signoffs: [],
    reviews: [],
  };
}

const NO_RECORDS: Pick<RepairView, 'readings' | 'mixes' | 'checks'> = {
  readings: [],
  mixes: [],
  checks: [],
};

/** The view without its plan: its records become earlier ones. */
const withoutPlan = (view: RepairView): RepairView => ({
  ...view,
  ...NO_RECORDS,
  plan: null,
  earlier: view.plan
    ? [...view.earlier, ...recordedLines(view.plan.body, view, view.plan.number)]
    : view.earlier,
});

/** The plan whose valid records a new plan takes over; null if a batch was mixed on it. */
export const lastPlanOf = ({ plan, last, mixes, checks, readings }: RepairView): LastPlan | null =>
  plan ? (mixes.length > 0 ? null : { ...plan, checks, readings }) : last;

const numberAfter = ({ plan, earlier }: RepairView): number =>
  1 + Math.max(plan?.number ?? 0, ...earlier.map((line) => line.plan ?? 0));

type Waits = Pick<Reading, 'by' | 'byId' | 'receivedAt'>;
type Lay<T extends Command['type']> = (
  view: RepairView,
  command: CommandOf<T>,
  on: OnDevice & { waits: Waits },
) => RepairView;

function layReading(
  view: RepairView,
  {
    command: { id, stepId, at },
    waits,
    found,
  }: {
    command: CommandOf<'reading.add' | 'photo.add'>;
    waits: Waits;
    found: Pick<Reading, 'values' | 'passed' | 'say'>;
  },
): RepairView {
  return {
    ...view,
    readings: [...view.readings, { id, stepId, takenAt: at, ...found, ...waits }],
  };
}

const labelOf = (view: RepairView, stepId: string): Message => {
  const hold = view.plan?.body.steps.find((s) => s.id === stepId)?.hold;
  return hold?.kind === 'photo' ? m('{label}.', { label: hold.label }) : m('');
};

const marked =
  (end: 'placedAt' | 'binnedAt') =>
  (view: RepairView, { mixId, at }: CommandOf<'mix.placed' | 'mix.binned'>): RepairView => ({
    ...view,
    mixes: view.mixes.map((x) => (x.id === mixId ? { ...x, [end]: at } : x)),
  });

/** The optimistic update of every command, as the server will carry it out; a missing entry does not compile. */
const OVER: { [T in Command['type']]: Lay<T> } = {
  'repair.create': (view) => view,
  'survey.save': (view, { survey }) => ({
    ...withoutPlan(view),
    ...headOfSurvey(survey),
    last: lastPlanOf(view),
    station: 'match',
    version: view.version + 1,
  }),
  'plan.make': (view, command, device) => {
    const survey = { ...view.survey, intent: command.intent };
    const body = device.plan(survey, command);
    if (!body) return view;
    const plan = { id: command.planId, number: numberAfter(view), body };
    const { intent } = command;
    const before = lastPlanOf(view);
    const kept = before && validRecords(before, body);
    const carried = kept && { checks: kept.checks, readings: kept.readings };
    const ids = new Set([...(kept?.checks ?? []), ...(kept?.readings ?? [])].map((r) => r.id));
    const bare = withoutPlan(view);
    return {
      ...bare,
      ...carried,
      earlier: bare.earlier.filter((line) => !ids.has(line.id)),
      last: null,
      ...{ survey, intent, plan, station: 'prep', version: view.version + 1 },
    };
  },
  'station.move': (view, { station, at }) =>
    mayMove(view, station, Date.parse(at)) ? view : { ...view, station, version: view.version + 1 },
  'check.set': (view, { id, stepId, batchNo, done, note, at }, { waits }) => ({
    ...view,
    checks: [...view.checks, { id, stepId, batchNo, done, note, at, ...waits }],
  }),
  'reading.add': (view, command, { waits, who }) => {
    const plan = view.plan?.body;
    if (plan && isOfRepair(command.values))
      return layReading(view, {
        command,
        waits,
        found: {
          values: command.values,
          ...judgeOfRepair(command.values, plan),
        },
      });
    const step = plan?.steps.find((s) => s.id === command.stepId);
    if (!plan || !step?.hold) return view;
    const values = approvedBy(step.hold, command.values, who);
    const judged = judgeOfStep({ ...step, hold: step.hold }, values, plan);
    return layReading(view, { command, waits, found: { values, ...judged } });
  },
  'photo.add': (view, command, { waits }) =>
    layReading(view, {
      command,
      waits,
      found: {
        values: { kind: 'photo', photoId: command.id },
        passed: true,
        say: labelOf(view, command.stepId),
      },
    }),
  'mix.start': (view, { id, batchNo, aG, bG, lot, instrument, at }, { waits }) => {
    if (mayMix(view, { batchNo, scale: { aG, bG }, now: Date.parse(at) })) return view;
    const started: Mix = {
      ...{ id, batchNo, aG, bG, lot },
      ...(instrument === undefined ? {} : { instrument }),
      deviationPct: deviationOf(view, batchNo, { aG, bG }),
      inTolerance: true,
      startedAt: at,
      placedAt: null,
      binnedAt: null,
      ...waits,
    };
    return { ...view, station: 'build', mixes: [...view.mixes, started] };
  },
  'mix.placed': marked('placedAt'),
  'mix.binned': marked('binnedAt'),
  'signoff.add': (view, { id, at, verdict, statement, override }, { who, zone }) => {
    if (!view.plan) return view;
    const { number, body } = view.plan;
    const seen = curedByServer(view, Date.parse(at));
    const early = verdict === 'accepted' && (seen === null || seen > Date.parse(at));
    const signed: RepairView['signoffs'][number] = {
      ...{ id, verdict, statement, at, name: who.name, byId: who.id },
      override: early ? override : null,
      supersedes: view.signoffs.at(-1)?.id ?? null,
    };
    const signoffs = [...view.signoffs, signed];
    const version = view.version + 1;
    if (verdict === 'redo')
      return {
        ...withoutPlan(view),
        ...{ signoffs, version, station: 'prep' },
        // A sign-off starts the plan again under its own id: the device can go on at once.
        plan: { id, number: number + 1, body },
      };
    const looks = nextLooks(body, at, zone).map((look, i) => ({
      ...look,
      id: `${id}/${i}`,
      doneAt: null,
    }));
    const reviews = [...view.reviews, ...looks];
    return { ...view, signoffs, reviews, version, status: 'closed', station: 'accept' };
  },
};

const onAnother = ({ plan }: RepairView, command: Command): boolean =>
  'planId' in command &&
  command.type !== 'plan.make' &&
  command.planId !== undefined &&
  command.planId !== plan?.id;

/** Whether the server has it already: its state may arrive before its acknowledgement. */
const isThere = (view: RepairView, { id, ...command }: Command): boolean =>
  (command.type === 'plan.make' && view.plan?.id === command.planId) ||
  [...view.checks, ...view.readings, ...view.mixes, ...view.signoffs].some((r) => r.id === id);

/**
 * A repair after a queued command: what was typed shows at once. A command that the view already contains changes
 * nothing; nor does a record of a replaced plan: it stays with that one.
 */
export function applyCommand(view: RepairView, command: Command, device: OnDevice): RepairView {
  if (onAnother(view, command) || isThere(view, command)) return view;
  const { name, id } = device.who;
  const waits: Waits = { by: name, byId: id, receivedAt: null };
  return (OVER[command.type] as Lay<Command['type']>)(view, command, { ...device, waits });
}
