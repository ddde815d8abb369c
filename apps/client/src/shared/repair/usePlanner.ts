import type { OnDevice } from '@kelmot/contract';
import type { Plan } from '@kelmot/core';
import { useMemo } from 'react';
import { useCardsQuery, useForecastQuery, useSiteQuery } from '@/store/api';
import { useShelf } from '@/store/useShelf';
import type { Planning } from './planning';

/**
 * How this device plans what has not been sent yet: by the cards, the shelf and the forecast that it has, as the server
 * will. What it plans with is asked for where something is to be planned alone.
 */
export function usePlanner(
  needed: boolean,
  planning: Planning | null,
): Pick<OnDevice, 'plan' | 'zone'> {
  const skip = { skip: !needed };
  const { data: site } = useSiteQuery();
  const { data: library } = useCardsQuery(undefined, skip);
  const shelf = useShelf(skip);
  const { data: forecast } = useForecastQuery(undefined, skip);
  return useMemo(() => {
    // Every tick lays the choice over the repair anew: it is planned once.
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
        const planned = planning.makePlan(survey, card, site.settings, at, context);
        const plan = planned.ok ? planned.plan : null;
        made.set(of, plan);
        return plan;
      },
    };
  }, [planning, site, library, shelf, forecast]);
}
