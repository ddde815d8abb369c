import type { RepairRow } from '@kelmot/contract';
import type { Message, StationId } from '@kelmot/core';
import { createContext, useContext } from 'react';

/** The address of a repair's run sheet. */
export const runPath = (repairId: string): `/repair/${string}/run` => `/repair/${repairId}/run`;

/** A clock that somebody started at a step: its repair and station. Batches have their own clocks. */
export interface StartedClockOf {
  row: Pick<RepairRow, 'id' | 'tag'>;
  station: StationId;
  label: Message;
  at: number;
}

interface AllRunning {
  rows: readonly RepairRow[];
  started: readonly StartedClockOf[];
}

const Running = createContext<AllRunning>({ rows: [], started: [] });
export const RunningProvider = Running.Provider;

/** Every open repair with a mixed batch, with the outbox applied; computed once for all users of this hook. */
export const useRunning = (): readonly RepairRow[] => useContext(Running).rows;

/** The clocks that were started at steps of all repairs at work that this device has. */
export const useStarted = (): readonly StartedClockOf[] => useContext(Running).started;
