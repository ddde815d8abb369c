import type { Survey } from '../survey/survey';
import { rebuildMethod } from './f2';
import type { Method } from './method';

const methods: readonly Method[] = [rebuildMethod];

/** The method of a family: its steps; null where they are not written, and the job is judged but not planned. */
export const methodOf = (family: Survey['family']): Method | null =>
  methods.find((m) => m.family === family) ?? null;
