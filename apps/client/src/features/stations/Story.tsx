import { MARK_NAMES, storyOf } from '@kelmot/contract';
import { dayClockText, MINUTE, t } from '@kelmot/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Disclosure, LinkButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';
import type { StationProps } from '@/shared/repair/stationProps';

/**
 * The record in the order of time: each reading against its limit, its person, and marks. Records made on earlier plans
 * stay with those plans and stay visible.
 */
export function Story({ view }: Pick<StationProps, 'view'>) {
  const [open, setOpen] = useState(false);
  const { tell } = useWords();
  const now = useNow(MINUTE);
  const zone = useZone();
  const story = useMemo(() => storyOf(view), [view]);
  if (story.length === 0) return null;
  return (
    <View className="border-b border-rule px-4" testID="story">
      <Disclosure
        label={t(
          'The record, {lines, plural, one {# line} other {# lines}}{earlier, plural, =0 {} other {, # of earlier plans}}',
          { lines: story.length, earlier: view.earlier.length },
        )}
        testID="story-open"
        open={open}
        onToggle={() => setOpen(!open)}
      >
        {story.map(({ id, at, title, say, limit, mark, by, plan }) => (
          <View key={id} className="pb-2">
            <Txt as="inline">
              {mark ? (
                <Txt as="strong" className={mark === 'failed' ? 'text-oxideInk' : 'text-ochreInk'}>
                  {MARK_NAMES[mark]}.{' '}
                </Txt>
              ) : null}
              {tell(title)}
            </Txt>
            {say ? <Txt>{tell(say)}</Txt> : null}
            <Txt as="label">
              {limit ? t('Limit {limit}. ', { limit: tell(limit) }) : ''}
              {dayClockText(Date.parse(at), now, zone)}, {by}
              {plan === null ? '' : t(', plan {plan}', { plan })}
            </Txt>
          </View>
        ))}
        <LinkButton
          label={t('Print or send the record')}
          onPress={() => router.navigate(`/papers/${view.id}`)}
          testID="record-papers"
        />
      </Disclosure>
    </View>
  );
}
