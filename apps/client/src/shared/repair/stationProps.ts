import type { RepairView } from '@kelmot/contract';
import type { Plan } from '@kelmot/core';
import type { OpenRepair } from './useRepair';

/** What every station is given: the repair that is open, and its plan. */
export interface StationProps {
  id: string;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}
