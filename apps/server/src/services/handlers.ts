import type { Command, Me } from '@kelmot/contract';
import type { Tx } from '../db/client';
import type { CommandOf, Doing, Done } from './doing';
import { createRepair, makePlanFor, moveStation, saveSurvey } from './planning';
import { addPhoto, addReading, setCheck, startMix, markMix } from './recording';
import { signOff } from './signing';

type Handlers = {
  [T in Exclude<Command['type'], 'repair.create'>]: (doing: Doing<T>) => Promise<Done>;
} & {
  'repair.create': (doing: {
    tx: Tx;
    me: Me;
    command: CommandOf<'repair.create'>;
    received: string;
  }) => Promise<Done>;
};

/** What each command does: a function from the locked repair to its new version. */
export const handlers: Handlers = {
  'repair.create': createRepair,
  'survey.save': saveSurvey,
  'plan.make': makePlanFor,
  'station.move': moveStation,
  'check.set': setCheck,
  'reading.add': addReading,
  'photo.add': addPhoto,
  'mix.start': startMix,
  'mix.placed': (doing) => markMix(doing, 'placed'),
  'mix.binned': (doing) => markMix(doing, 'binned'),
  'signoff.add': signOff,
};
