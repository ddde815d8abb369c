import {
  matchAll,
  rank,
  whatWouldChange,
  type Card,
  type Intent,
  type Schools,
  type Scored,
  type Survey,
  type SystemCard,
  type Weights,
  type WhatIf,
} from '@kelmot/core';
import { useMemo } from 'react';
import { useCardsQuery, useSiteQuery } from '@/store/api';
import { useWorkContext } from '../../shared/repair/useWorkContext';

const isSystem = (card: Card): card is SystemCard => card.role === 'system';

interface Matches {
  ranked: Scored[];
  /** The smallest changes of the survey that would allow a better system. */
  whatIf: WhatIf[];
  loading: boolean;
  error: unknown;
}

/** Judges every card for a survey and ranks them for an intent, with the same core as the server. */
export function useMatches(
  survey: Survey,
  {
    intent,
    weights,
    schools,
    seconds,
  }: {
    intent: Intent;
    weights?: Weights;
    schools?: Schools;
    seconds?: Readonly<Record<string, string>>;
  },
): Matches {
  const { data: cards, isLoading, error } = useCardsQuery();
  const { data: site, isLoading: siteLoading } = useSiteQuery();
  const meant = useMemo(() => ({ ...survey, intent }), [survey, intent]);
  const context = useWorkContext(meant, schools, seconds);
  const matches = useMemo(
    () =>
      cards && site
        ? matchAll(meant, cards.filter(isSystem), { site: site.settings, context })
        : [],
    [meant, cards, site, context],
  );
  const ranked = useMemo(() => rank(matches, intent, weights), [matches, intent, weights]);
  const whatIf = useMemo(
    () => (site ? whatWouldChange(meant, ranked, { site: site.settings, context, weights }) : []),
    [meant, ranked, site, context, weights],
  );
  return { ranked, whatIf, loading: isLoading || siteLoading, error };
}
