import { byJest } from './mutants.mjs';

/** What the device keeps and sends. One that sends without end is put down soon: starting its tests again takes long. */
export default { ...byJest('bench/lib/mutants.device.jest.cjs'), concurrency: 1, timeoutMS: 5000 };
