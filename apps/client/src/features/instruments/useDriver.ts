import type { Driver, InstrumentId } from '@kelmot/core/instruments/instrument';
import { simulated } from '@kelmot/demo/instruments/simulated';
import { useMemo } from 'react';
import { useSiteQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';

/** A seed for each measurement. */
const seedNow = (): number => Date.now() % 100_000;

/**
 * The driver for an instrument; null where this device cannot reach it and readings are typed. `expected` is what the
 * plan expects (for a scale, of each pour): a simulated instrument measures that.
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
