import {
  approvedBy,
  isOfRepair,
  judgeOfRepair,
  judgeOfStep,
  judgeReading,
  mayGoOnWithout,
  wrongOfRepair,
  type Command,
  type Me,
  type OwnValues,
} from '@kelmot/contract';
import { shortened, planBatches, sentence, type Hold, type Plan, type Step, t } from '@kelmot/core';
import type { PlanRead } from '../db/planRead';
import type { Added } from '../db/recordOnce';
import { checks, photos, readings } from '../db/repairs';
import { ProblemError } from '../common/problemError';
import type { CommandOf } from './commandContext';
import { refuseHeld } from './gates';
import { reencodePicture } from './pictures';

type RecordType = 'check.set' | 'reading.add' | 'photo.add';
export type RecordCommand = CommandOf<RecordType>;

/** A record on a step, judged by its plan alone. */
interface On<T extends RecordType> {
  command: CommandOf<T>;
  me: Me;
  plan: PlanRead;
}

function stepOf(plan: Plan, stepId: string): Step & { hold: Hold } {
  const step = plan.steps.find((s) => s.id === stepId);
  if (!step?.hold) {
    throw new ProblemError(422, t('Input out of range'), {
      issues: [
        {
          path: 'stepId',
          message: t('no hold "{stepId}" in this plan; use the id of one of its steps', {
            stepId: shortened(stepId),
          }),
        },
      ],
    });
  }
  return { ...step, hold: step.hold };
}

const whereOf = ({
  command,
  me,
  plan,
}: Pick<On<RecordType>, 'me' | 'plan'> & { command: RecordCommand }) => ({
  id: command.id,
  repairId: command.repairId,
  planId: plan.id,
  stepId: command.stepId,
  by: me.id,
});

function tick(on: On<'check.set'>): Added[] {
  const { command, plan } = on;
  const step = stepOf(plan.body, command.stepId);
  if (step.hold.kind !== 'check')
    throw new ProblemError(
      422,
      t('{sentence} asks for a reading', { sentence: sentence(step.title) }),
      { detail: t('Measure it and send the reading.') },
    );
  const { batchNo, done, note, at } = command;
  const own = planBatches(plan.body).filter((b) => step.eachBatch && b.round === step.round);
  if (batchNo !== null && !own.some((b) => b.no === batchNo))
    throw new ProblemError(422, t('Input out of range'), {
      issues: [
        {
          path: 'batchNo',
          message:
            own.length > 0
              ? t('must be {own}, or null for the step as a whole', {
                  own: own.map((b) => b.no).join(', '),
                })
              : t('must be null: this step is not done batch by batch'),
        },
      ],
    });
  return [{ table: checks, row: { ...whereOf(on), batchNo, done, note, at } }];
}

/** Records of the repair itself, which belong to no step. */
function ofRepair(on: On<'reading.add'>, values: OwnValues): Added[] {
  const { command, plan } = on;
  const wrong = wrongOfRepair(command, values, plan.body);
  if (wrong) throw new ProblemError(422, t('Input out of range'), { issues: [wrong] });
  const row = { ...whereOf(on), takenAt: command.at, values, ...judgeOfRepair(values, plan.body) };
  return [{ table: readings, row }];
}

function reading(on: On<'reading.add'>): Added[] {
  const { command, me, plan } = on;
  if (isOfRepair(command.values)) return ofRepair(on, command.values);
  const step = stepOf(plan.body, command.stepId);
  const { hold, timed, title } = step;
  const { kind } = command.values;
  if (kind === 'override') refuseHeld(mayGoOnWithout(step, me));
  // A picture has its own command, so that a reading never refers to a missing picture.
  else if (kind === 'timed' ? !timed : hold.kind === 'photo' || hold.kind !== kind) {
    throw new ProblemError(422, t('Input out of range'), {
      issues: [
        {
          path: 'values.kind',
          message: t('{sentence} asks for {kind}', { sentence: sentence(title), kind: hold.kind }),
        },
      ],
    });
  }
  const values = approvedBy(hold, command.values, me);
  const row = { ...whereOf(on), takenAt: command.at, values };
  return [{ table: readings, row: { ...row, ...judgeOfStep(step, values, plan.body) } }];
}

/** Stores a picture, and its step's reading that refers to it. */
async function picture(on: On<'photo.add'>): Promise<Added[]> {
  const { command, plan } = on;
  const { hold, title } = stepOf(plan.body, command.stepId);
  if (hold.kind !== 'photo')
    throw new ProblemError(422, t('Input out of range'), {
      issues: [
        {
          path: 'stepId',
          message: t('{sentence} asks for {kind}, not a picture', {
            sentence: sentence(title),
            kind: hold.kind,
          }),
        },
      ],
    });
  const drawn = await reencodePicture(Buffer.from(command.data, 'base64'));
  const where = { ...whereOf(on), takenAt: command.at };
  const values = { kind: 'photo', photoId: command.id } as const;
  const { passed, say } = judgeReading(hold, values, plan.body);
  return [
    { table: photos, row: { ...where, ...drawn } },
    { table: readings, row: { ...where, values, passed, say } },
  ];
}

type Records = { [T in RecordType]: (on: On<T>) => Added[] | Promise<Added[]> };
const records: Records = { 'check.set': tick, 'reading.add': reading, 'photo.add': picture };

export const isRecord = (command: Command): command is RecordCommand => command.type in records;

/** The rows of a record. Throws ProblemError if its plan does not ask for it. */
export const rowsOf = (on: On<RecordType>): Added[] | Promise<Added[]> =>
  (records[on.command.type] as (on: On<RecordType>) => Added[] | Promise<Added[]>)(on);
