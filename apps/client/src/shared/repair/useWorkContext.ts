import { weatherFor, type Schools, type Survey, type WorkContext } from '@kelmot/core';
import { useMemo } from 'react';
import { useCardsQuery, useForecastQuery } from '@/store/api';
import { useShelf } from '@/store/useShelf';

/** What a plan needs besides survey, card and site: cards, shelf, forecast, schools. The server uses the same. */
export function useWorkContext(
  survey: Survey,
  schools?: Schools,
  seconds?: Readonly<Record<string, string>>,
): WorkContext {
  const { data: library } = useCardsQuery();
  const shelf = useShelf();
  const { data: forecast } = useForecastQuery();
  return useMemo(
    () => ({ ...weatherFor(survey, forecast?.hours ?? []), schools, seconds, shelf, library }),
    [survey, forecast, schools, seconds, shelf, library],
  );
}
