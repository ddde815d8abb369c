export * from './ack';
export * from './air';
export * from './asset';
export * from './cards';
export * from './carry';
export * from './clocks';
export * from './command';
export * from './cureRecord';
export {
  readingsAtHold,
  mixedBatches,
  stepDone,
  waitEnd,
  openBatchOf,
  type Recorded,
} from './done';
export * from './gates';
export * from './tasks';
export * from './handoverRecord';
export * from './handover';
export * from './ids';
export * from './judge';
export * from './leftovers';
export * from './live';
export * from './optimisticUpdate';
export * from './ofRepair';
export * from './people';
export * from './problem';
export * from './progress';
export * from './records';
export * from './repair';
export * from './reviews';
export { runningOf, runningPlan } from './running';
export { isAtWork, REPAIR_SORTS, RepairPage, RepairRow, type RepairSort } from './row';
export * from './rowOf';
export * from './shelf';
export * from './story';
export * from './planFile';
export * from './timed';
export * from './waits';
export * from './weighed';
export { repeatReason, closingWindows, waitsUntil, windowOf, type Closing } from './windows';
