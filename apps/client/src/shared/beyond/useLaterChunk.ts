import { useEffect, useState } from 'react';
import { later } from '@/store/later';
import type * as rest from './rest';

export type Beyond = typeof rest;

let here: Beyond | null = null;

/** Loads the later chunk; rejects if it is not on the device and there is no signal. */
export async function beyond(): Promise<Beyond> {
  here ??= await later<Beyond>();
  return here;
}

/** The same for components: null until it is loaded; loads it where it is `needed`. */
export function useLaterChunk(needed: boolean): Beyond | null {
  const [all, setAll] = useState(here);
  useEffect(() => {
    if (needed && !all) void beyond().then(setAll, () => undefined);
  }, [needed, all]);
  return all;
}
