import type { Command } from '@kelmot/contract';
import type { CommandContext, CommandResult } from './commandContext';
import { markMix, startMix } from './mixing';
import { makePlanFor, moveStation, saveSurvey } from './planning';
import type { RecordCommand } from './recording';
import { signOff } from './signing';

/** A command on an existing repair. */
export type RepairCommand = Exclude<Command, { type: 'repair.create' } | RecordCommand>;
type Handlers = {
  [T in RepairCommand['type']]: (doing: CommandContext<T>) => Promise<CommandResult>;
};

const handlers: Handlers = {
  'survey.save': saveSurvey,
  'plan.make': makePlanFor,
  'station.move': moveStation,
  'mix.start': startMix,
  'mix.placed': (doing) => markMix(doing, 'placed'),
  'mix.binned': (doing) => markMix(doing, 'binned'),
  'signoff.add': signOff,
};

/** Carries out a command on the locked repair; returns its new version. */
export const perform = (doing: CommandContext<RepairCommand['type']>): Promise<CommandResult> =>
  (
    handlers[doing.command.type] as (
      doing: CommandContext<RepairCommand['type']>,
    ) => Promise<CommandResult>
  )(doing);
