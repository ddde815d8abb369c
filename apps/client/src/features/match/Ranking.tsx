import { whyFirst, type Intent, type Relax, t } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { loadErrorText } from '@/store/api';
import { LinkButton } from '@/shared/ui/Button';
import { tabIndexAt } from '@/shared/ui/keyboard';
import { Failed, Skeleton } from '@/shared/ui/states';
import { Compare, MOST_COMPARED } from './Compare';
import { MatchCard } from './MatchCard';
import { type useMatches } from './useMatches';

/** The list of ranked cards; the cards selected for comparison are shown side by side above it. */
export function Ranking({
  found: { ranked, loading, error },
  intent,
  code,
  onPick,
  onTry,
}: {
  found: ReturnType<typeof useMatches>;
  intent: Intent;
  /** The selected card. */
  code: string | undefined;
  onPick: (code: string) => void;
  onTry: (relax: Relax) => void;
}) {
  const [all, setAll] = useState(false);
  const [compared, setCompared] = useState<string[]>([]);
  const usable = ranked.filter((s) => s.match.verdict !== 'no').length;
  const shown = all ? ranked : ranked.slice(0, Math.max(usable + 2, 4));
  const at = shown.findIndex((s) => s.match.card.code === code);
  const compare = (which: string) =>
    setCompared((list) =>
      list.includes(which) ? list.filter((c) => c !== which) : [...list, which],
    );
  return (
    <>
      <Compare
        chosen={ranked.filter((s) => compared.includes(s.match.card.code))}
        onDrop={compare}
      />
      {loading ? <Skeleton /> : null}
      {error && ranked.length === 0 ? <Failed say={loadErrorText(error)} /> : null}
      <View role="radiogroup" aria-label={t('Material systems')}>
        {shown.map((scored, i) => {
          const own = scored.match.card.code;
          const isCompared = compared.includes(own);
          const isBest = i === 0 && scored.match.verdict !== 'no';
          return (
            <MatchCard
              key={own}
              scored={scored}
              selected={own === code}
              stop={tabIndexAt(i, at)}
              onSelect={() => onPick(own)}
              why={isBest ? whyFirst(scored, ranked[1], intent) : null}
              onTry={onTry}
              compared={isCompared}
              onCompare={isCompared || compared.length < MOST_COMPARED ? () => compare(own) : null}
            />
          );
        })}
      </View>
      {ranked.length > shown.length ? (
        <View className="px-4">
          <LinkButton
            label={t('{ranked} more do not fit', { ranked: ranked.length - shown.length })}
            onPress={() => setAll(true)}
            testID="show-all"
          />
        </View>
      ) : null}
    </>
  );
}
