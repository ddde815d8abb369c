import { useEffect, useState } from 'react';
import { loadLaterChunk } from '@/store/laterChunk';
import type * as rest from './rest';

export type LaterChunk = typeof rest;

let here: LaterChunk | null = null;

/** Loads the later chunk; rejects if it is not on the device and there is no signal. */
export async function laterChunk(): Promise<LaterChunk> {
  here ??= await loadLaterChunk<LaterChunk>();
  return here;
}

/** The same for components: null until it is loaded; loads it where it is `needed`. */
export function useLaterChunk(needed: boolean): LaterChunk | null {
  const [all, setAll] = useState(here);
  useEffect(() => {
    if (needed && !all) void laterChunk().then(setAll, () => undefined);
  }, [needed, all]);
  return all;
}
