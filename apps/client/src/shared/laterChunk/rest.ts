/** Code that the bench needs only while a repair runs. It loads in one chunk with the other screens. */
export { startedClocks, waitCalls } from '@kelmot/contract';
export { planning } from '@/shared/repair/planning';
export { RepairAside } from '@/shared/repair/RepairAside';
