import type { RepairView } from '@kelmot/contract';
import type { Plan } from '@kelmot/core';
import type { OpenRepair } from './useRepair';

/** The props of every station: the open repair and its plan. */
export interface StationProps {
  id: string;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
}
