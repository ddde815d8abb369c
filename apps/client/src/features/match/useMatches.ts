import {
  matchAll,
  rank,
  type Card,
  type Intent,
  type Scored,
  type SystemCard,
  type Survey,
} from '@kelmot/core';
import { useMemo } from 'react';
import { useCardsQuery, useSiteQuery } from '@/store/api';

const isSystem = (card: Card): card is SystemCard => card.role === 'system';

/** Every card judged against a survey and ranked for an intent, by the same core the server plans with. */
export function useMatches(
  survey: Survey | undefined,
  intent: Intent,
): { ranked: Scored[]; loading: boolean; error: unknown } {
  const { data: cards, isLoading, error } = useCardsQuery();
  const { data: site, isLoading: siteLoading } = useSiteQuery();
  const ranked = useMemo(() => {
    if (!survey || !cards || !site) return [];
    return rank(matchAll({ ...survey, intent }, cards.filter(isSystem), site.settings), intent);
  }, [survey, intent, cards, site]);
  return { ranked, loading: isLoading || siteLoading, error };
}
