/** What the bench needs only while something runs: it comes with the other screens. */
export { startedClocks, waitCalls } from '@kelmot/contract';
export { planning } from '@/shared/repair/planning';
export { RepairAside } from '@/shared/repair/RepairAside';
