import type { KnownAir } from '@kelmot/contract';
import { MINUTE } from '@kelmot/core';
import { and, desc, eq, gte, lte, sql } from 'drizzle-orm';
import type { Db } from '../db/client';
import { readings, repairs } from '../db/repairs';
import type { WeatherService } from './weather';

/** A reading older than this says nothing about the present air, ms. */
const FRESH_MS = 12 * 60 * MINUTE;

/** The last gate reading at a place, if it is recent; null without a place, because an empty place is not one place. */
async function lastReading(
  db: Db,
  { siteId, position, now }: { siteId: string; position: string; now: number },
): Promise<KnownAir | null> {
  if (position === '') return null;
  const [last] = await db
    .select({ values: readings.values, at: readings.takenAt, tag: repairs.tag })
    .from(readings)
    .innerJoin(repairs, eq(repairs.id, readings.repairId))
    .where(
      and(
        eq(repairs.siteId, siteId),
        eq(repairs.position, position),
        sql`${readings.values} ->> 'kind' = 'ambient'`,
        gte(readings.takenAt, new Date(now - FRESH_MS).toISOString()),
        lte(readings.takenAt, new Date(now).toISOString()),
      ),
    )
    .orderBy(desc(readings.takenAt), desc(readings.id))
    .limit(1);
  if (last?.values.kind !== 'ambient') return null;
  const { airC, rhPct, surfaceC } = last.values;
  const at = new Date(last.at).toISOString();
  return { airC, rhPct, surfaceC, at, from: 'reading', source: last.tag };
}

/** The known air at a place: a reading there, otherwise the weather of this hour; null if neither is known. */
export async function knownAir(
  db: Db,
  {
    weather,
    place: { siteId, position },
    now,
  }: { weather: WeatherService; place: { siteId: string; position: string }; now: number },
): Promise<KnownAir | null> {
  const read = await lastReading(db, { siteId, position, now });
  if (read) return read;
  const [hour] = await weather.hours(now);
  if (!hour) return null;
  const { airC, rhPct } = hour;
  const at = new Date(hour.at).toISOString();
  return { airC, rhPct, surfaceC: airC, at, from: 'weather', source: weather.source };
}
