import { t } from '@kelmot/core';
import type { SystemCard } from '@kelmot/core';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame';
import { loadErrorText, useCardsQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { LinkButton, Tag } from '@/shared/ui/Button';
import { Choices } from '@/shared/ui/fields';
import { Failed, Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { PackCoverage } from './PackCoverage';
import { ToolHead } from './ToolHead';

/** The same without a repair: any card, pack and damage. */
export function PackCoverageScreen() {
  const { data: cards, isLoading, error, refetch } = useCardsQuery();
  const units = useAppSelector((s) => s.settings.units);
  const [picking, setPicking] = useState(false);
  const [code, setCode] = useState<string | null>(null);
  const systems = (cards ?? []).filter(
    (c): c is SystemCard => c.role === 'system' && c.families.length > 0,
  );
  const card = systems.find((c) => c.code === code) ?? systems[0];
  return (
    <Frame tab="know-how">
      <ToolHead title={t('How far does one pack go?')} />
      <ScrollView
        className="flex-1 px-4 py-4"
        keyboardShouldPersistTaps="handled"
        testID="screen-how-far"
      >
        <Txt className="pb-4 text-pencil">
          {t('What one pack covers, with waste and overfill, as in a plan.')}
        </Txt>
        {isLoading ? <Skeleton rows={6} /> : null}
        {error ? <Failed say={loadErrorText(error)} retry={() => void refetch()} /> : null}
        {card ? (
          <>
            <View className="flex-row flex-wrap items-center gap-2.5">
              <Tag text={card.code} />
              <Txt as="row" className="min-w-0 flex-1 basis-32" numberOfLines={2}>
                {card.name}
              </Txt>
              <LinkButton
                label={t('{systems} other cards', { systems: systems.length - 1 })}
                testID="far-others"
                onPress={() => setPicking(!picking)}
              />
            </View>
            {picking ? (
              <Choices
                id="far-card"
                label={t('Card')}
                options={systems.map((c) => ({ value: c.code, label: `${c.code} ${c.name}` }))}
                value={card.code}
                onPick={(next) => {
                  setCode(next);
                  setPicking(false);
                }}
              />
            ) : null}
            <PackCoverage key={`${card.code} ${units}`} card={card} />
          </>
        ) : null}
      </ScrollView>
    </Frame>
  );
}
