import type { RepairRow } from '@kelmot/contract';
import type { Message, StationId } from '@kelmot/core';
import { createContext, useContext } from 'react';

/** Where the work of a repair is run. */
export const runPath = (repairId: string): `/repair/${string}/run` => `/repair/${repairId}/run`;

/** A clock that somebody started, of which repair and at which station; what is in a pail has its own. */
export interface StartedOf {
  row: Pick<RepairRow, 'id' | 'tag'>;
  station: StationId;
  label: Message;
  at: number;
}

interface AllRunning {
  rows: readonly RepairRow[];
  started: readonly StartedOf[];
}

const Running = createContext<AllRunning>({ rows: [], started: [] });
export const RunningProvider = Running.Provider;

/** Every open repair of which something was mixed, what waits on this device in its place: worked out once for all who ask. */
export const useRunning = (): readonly RepairRow[] => useContext(Running).rows;

/** The clocks that were started at steps of any repair at work, as far as this device has it. */
export const useStarted = (): readonly StartedOf[] => useContext(Running).started;
