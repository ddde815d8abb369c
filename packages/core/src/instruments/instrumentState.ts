import type { Message } from '../message/message';
import type { Channel } from './instrument';

/** The faults of an instrument that its samples reveal. */
export const FAULTS = ['lost', 'stuck', 'drift', 'unit', 'reach'] as const;
export type Fault = (typeof FAULTS)[number];

/** The present judgement of an instrument. */
export interface InstrumentState {
  /** `steady`: it can be taken; `fault`: its values must not be used. */
  state: 'waiting' | 'settling' | 'steady' | 'fault';
  fault: Fault | null;
  say: Message;
  /** For a stream: the present value of each channel. For spot: every reading of its one channel. Base units. */
  values: number[];
}

/** A fault, with the values that it showed. */
export const fault = (kind: Fault, say: Message, values: number[]): InstrumentState => ({
  state: 'fault',
  fault: kind,
  say,
  values,
});

/** Whether the last `times` values are identical: more exactly than a working sensor. */
export const repeats = (values: readonly number[], times: number, { noise }: Channel): boolean => {
  const last = values.slice(-times);
  return noise > 0 && last.length === times && Math.max(...last) - Math.min(...last) < noise;
};
