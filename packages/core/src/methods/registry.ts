import type { Survey } from '../survey/survey';
import { rebuildMethod } from './f2';
import type { Method } from './method';

const methods: readonly Method[] = [rebuildMethod];

/** The method of a family; throws on one without a method, since every survey variant must have one. */
export function methodOf(family: Survey['family']): Method {
  const found = methods.find((m) => m.family === family);
  if (!found) throw new Error(`no method for family ${family}`);
  return found;
}
