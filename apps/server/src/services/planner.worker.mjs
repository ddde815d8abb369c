// A thread has none of the loader that the server was started with: TypeScript is read by one of its own.
import { tsImport } from 'tsx/esm/api';

export const { plan, leftovers, ready } = await tsImport('./plannerWork.ts', import.meta.url);
