// A worker thread does not inherit the loader that the server was started with: it loads TypeScript by its own.
import { tsImport } from 'tsx/esm/api';

export const { plan, leftovers, ready } = await tsImport('./plannerWork.ts', import.meta.url);
