import type { KnownAir } from '@kelmot/contract';
import { dayClockText, MINUTE, type SurveyDraft, type UnitSystem, t } from '@kelmot/core';
import { useEffect } from 'react';
import { useAirQuery } from '@/store/api';
import { draftFilledIn } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { asTyped } from './draftOf';

const FIELDS = [
  ['readings.airC', 'airC', 'temperature'],
  ['readings.rhPct', 'rhPct', 'percent'],
  ['readings.surfaceC', 'surfaceC', 'temperature'],
] as const;

/** The known values, as they would be typed. */
const typed = (air: KnownAir, units: UnitSystem): Record<string, string> =>
  Object.fromEntries(
    FIELDS.map(([path, key, quantity]) => [path, asTyped(air[key], quantity, units)]),
  );

const isUntouched = ({ texts }: SurveyDraft): boolean =>
  FIELDS.every(([path]) => (texts[path] ?? '') === '');

/**
 * Fills in air and surface from the last reading at this place, or outdoors from the weather, while nobody has typed
 * them. Says so while they are unchanged.
 */
export function KnownAirLine({ draftKey, draft }: { draftKey: string; draft: SurveyDraft }) {
  const zone = useZone();
  const dispatch = useAppDispatch();
  const now = useNow(MINUTE);
  const units = useAppSelector((s) => s.settings.units);
  const { data } = useAirQuery(draft.asset.position);
  // Under a roof the weather outside says nothing about the air.
  const known = data?.from === 'weather' && draft.texts['site.outdoors'] !== 'yes' ? null : data;
  const texts = known ? typed(known, units) : null;
  const untouched = isUntouched(draft);
  useEffect(() => {
    if (texts && untouched)
      dispatch(
        draftFilledIn({
          key: draftKey,
          shown: draft,
          // A letter may have been typed that is not on the screen yet.
          change: (now) => (isUntouched(now) ? { ...now, texts: { ...now.texts, ...texts } } : now),
        }),
      );
  }, [texts, untouched, draft, draftKey, dispatch]);
  if (!known || !texts || !FIELDS.every(([path]) => draft.texts[path] === texts[path])) return null;
  const when = dayClockText(Date.parse(known.at), now, zone);
  return (
    <Txt as="inline" testID="known-air" className="text-ochreInk">
      {known.from === 'reading'
        ? t('As read here at {source}, {when}. Measure again before you mix.', {
            source: known.source,
            when,
          })
        : t(
            'From the weather, {source}, {when}; the surface is assumed as warm as the air. Measure again before you mix.',
            { source: known.source, when },
          )}
    </Txt>
  );
}
