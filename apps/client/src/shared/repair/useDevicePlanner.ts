import type { OnDevice } from '@kelmot/contract';
import type { Plan } from '@kelmot/core';
import { useMemo } from 'react';
import { useCardsQuery, useForecastQuery, useSiteQuery } from '@/store/api';
import { useShelf } from '@/store/useShelf';
import type { Planning } from './planning';

/**
 * Plans on this device what is not sent yet: with its cards, shelf and forecast, as the server will. Loads these where
 * something must be planned.
 */
export function useDevicePlanner(
  needed: boolean,
  planning: Planning | null,
): Pick<OnDevice, 'plan' | 'zone'> {
  const skip = { skip: !needed };
  const { data: site } = useSiteQuery();
  const { data: library } = useCardsQuery(undefined, skip);
  const shelf = useShelf(skip);
  const { data: forecast } = useForecastQuery(undefined, skip);
  return useMemo(() => {
    // Each tick applies the choice again: it is planned once.
    const made = new Map<string, Plan | null>();
    return {
      zone: site?.settings.zone ?? 'UTC',
      plan: (survey, { cardCode, at, schools, seconds }) => {
        const card = library?.find((c) => c.code === cardCode);
        if (!planning || !site || card?.role !== 'system') return null;
        const of = JSON.stringify([survey, cardCode, at, schools, seconds]);
        const before = made.get(of);
        if (before !== undefined) return before;
        const weather = planning.weatherFor(survey, forecast?.hours ?? []);
        const context = { ...weather, schools, seconds, shelf, library };
        const planned = planning.makePlan(survey, card, {
          site: site.settings,
          madeAt: at,
          context,
        });
        const plan = planned.ok ? planned.plan : null;
        made.set(of, plan);
        return plan;
      },
    };
  }, [planning, site, library, shelf, forecast]);
}
