import { fieldsWithoutEffect, type SurveyDraft } from '@kelmot/core';
import { useEffect, useMemo, useState } from 'react';
import { useCardsQuery, useForecastQuery, useSiteQuery } from '@/store/api';
import { useShelf } from '@/store/useShelf';
import { useAppSelector } from '@/store/hooks';
import { makeRunner } from '@/offline/workers/runner';

/** After this pause in typing the questions are evaluated again, ms. */
const SETTLE_MS = 400;

/** The paths of questions whose answer cannot change the result here, computed in a worker as answers come. */
export function useHiddenQuestions(draft: SurveyDraft): ReadonlySet<string> {
  const units = useAppSelector((s) => s.settings.units);
  const { data: cards } = useCardsQuery();
  const { data: site } = useSiteQuery();
  const shelf = useShelf();
  const { data: forecast } = useForecastQuery();
  const [runner] = useState(makeRunner);
  const [silent, setSilent] = useState<{ family: string; paths: readonly string[] }>({
    family: draft.family,
    paths: [],
  });
  useEffect(() => runner.close, [runner]);

  useEffect(() => {
    if (!cards || !site) return;
    let over = false;
    const timer = setTimeout(() => {
      const ask = { draft, units, cards, site: site.settings, hours: forecast?.hours, shelf };
      void runner
        .run(
          (remote) => remote.fieldsWithoutEffect(ask),
          () => fieldsWithoutEffect(ask),
        )
        .then((paths) => {
          if (!over) setSilent({ family: draft.family, paths });
        });
    }, SETTLE_MS);
    return () => {
      over = true;
      clearTimeout(timer);
      runner.stop();
    };
  }, [draft, units, cards, site, shelf, forecast, runner]);

  return useMemo(
    () => new Set(silent.family === draft.family ? silent.paths : []),
    [silent, draft.family],
  );
}
