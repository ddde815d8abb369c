/** What is beyond the bench, without its screens: a test that shows one imports it itself. */
export { startedClocks, waitCalls } from '@kelmot/contract';
export { planning } from '@/features/repair/planning';
export { wholeSchemas } from '@/store/wholeSchemas';
