import type { Message } from '../message/message';
import type { Channel } from './instrument';

/** What an instrument can do wrong and what shows it in what it sends. */
export const FAULTS = ['lost', 'stuck', 'drift', 'unit', 'reach'] as const;
export type Fault = (typeof FAULTS)[number];

/** What is to be thought of an instrument now. */
export interface Watch {
  /** `steady`: it may be taken; `fault`: what it shows is not to be used. */
  state: 'waiting' | 'settling' | 'steady' | 'fault';
  fault: Fault | null;
  say: Message;
  /** A stream: the present value of each channel. Spot: every reading of its one channel. Base units. */
  values: number[];
}

/** A fault, with what it showed. */
export const fault = (kind: Fault, say: Message, values: number[]): Watch => ({
  state: 'fault',
  fault: kind,
  say,
  values,
});

/** Whether the last so many values are the very same: more exactly than a sensor that lives. */
export const repeats = (values: readonly number[], times: number, { noise }: Channel): boolean => {
  const last = values.slice(-times);
  return noise > 0 && last.length === times && Math.max(...last) - Math.min(...last) < noise;
};
