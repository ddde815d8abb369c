import type { Driver, InstrumentId } from '@kelmot/core/instruments/instrument';
import { simulated } from '@kelmot/demo/instruments/simulated';
import { useMemo } from 'react';
import { useSiteQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';

/** Any number tells one measuring from the next. */
const seedNow = (): number => Date.now() % 100_000;

/**
 * How an instrument is reached from here; null where it is not, and readings are typed. `expected` is what the plan thinks
 * is there, of a scale for each pour: that is what a simulated one measures.
 */
export function useDriver(
  id: InstrumentId | undefined,
  expected: (part: number) => readonly (number | null)[],
): Driver | null {
  const { data: site } = useSiteQuery();
  const misbehaves = useAppSelector((s) => (id && s.settings.misbehaves[id]) ?? null);
  const there = id !== undefined && site?.instruments === 'simulated';
  return useMemo(() => {
    if (!there) return null;
    const seed = seedNow();
    return simulated((part) => ({
      truth: expected(part).map((v) => v ?? 0),
      seed: seed + part,
      misbehaves,
    }));
  }, [there, misbehaves, expected]);
}
