import type { RepairRow } from '@kelmot/contract';
import { createContext, useContext } from 'react';

/** Where the work of a repair is run. */
export const runPath = (repairId: string): `/repair/${string}/run` => `/repair/${repairId}/run`;

const Running = createContext<readonly RepairRow[]>([]);
export const RunningProvider = Running.Provider;

/** Every open repair of which something was mixed, what waits on this device in its place: worked out once for all who ask. */
export const useRunning = (): readonly RepairRow[] => useContext(Running);
