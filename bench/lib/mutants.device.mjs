import { byJest } from './mutants.mjs';

/**
 * Storage and sending on the device. A mutant that sends without end is stopped early, because restarting its tests is
 * slow.
 */
export default { ...byJest('bench/lib/mutants.device.jest.cjs'), concurrency: 1, timeoutMS: 5000 };
