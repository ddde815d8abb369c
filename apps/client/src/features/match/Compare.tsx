import { formatQuantity, VERDICT_NAMES, type Scored, t } from '@kelmot/core';
import { View } from 'react-native';
import { LinkButton } from '@/shared/ui/Button';
import { useLayout } from '@/shared/ui/layout';
import { VerdictMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** Four cards side by side are as many as can be read. */
export const MOST_COMPARED = 4;

/** Cards side by side on a wide screen, one below another on a phone: their scores, and what decides. */
export function Compare({
  chosen,
  onDrop,
}: {
  chosen: readonly Scored[];
  onDrop: (code: string) => void;
}) {
  const { units, tell } = useWords();
  const wide = useLayout() !== 'phone';
  if (chosen.length < 2) return null;
  return (
    <View
      testID="compare"
      role="group"
      aria-label={t('Systems compared')}
      className="gap-3 border-b border-ink bg-sheet px-4 py-4"
    >
      <Txt as="rowBold" role="heading">
        {t('Compared')}
      </Txt>
      <View className={wide ? 'flex-row gap-4' : 'gap-4'}>
        {chosen.map(({ match, parts, score }) => {
          const decisive = match.judged.filter((j) => j.verdict !== 'fits');
          return (
            <View
              key={match.card.code}
              className="min-w-0 flex-1 gap-1.5 border-t-2 border-ink pt-2"
            >
              <View className="flex-row items-center gap-2">
                <VerdictMark verdict={match.verdict} />
                <Txt as="inline" className="min-w-0 flex-1">
                  {match.card.code} {match.card.name}
                </Txt>
              </View>
              <Txt as="label">{VERDICT_NAMES[match.verdict]}</Txt>
              {parts.map((p) => (
                <View
                  key={p.id}
                  className="flex-row justify-between gap-2 border-b border-rule py-1"
                >
                  <Txt as="label">{p.name}</Txt>
                  <Txt as="inline">
                    {p.value === null ? t('not known') : formatQuantity(p.value, p.quantity, units)}
                  </Txt>
                </View>
              ))}
              <View className="flex-row justify-between gap-2 border-b border-rule py-1">
                <Txt as="label">{t('Weighed')}</Txt>
                <Txt as="inline">{score.toFixed(2)}</Txt>
              </View>
              {decisive.map((j) => (
                <Txt key={j.rule.id}>
                  <Txt as="strong">{j.rule.name}. </Txt>
                  {tell(j.because)}
                </Txt>
              ))}
              <LinkButton
                label={t('Remove')}
                hint={t('{code}, from the comparison', { code: match.card.code })}
                onPress={() => onDrop(match.card.code)}
              />
            </View>
          );
        })}
      </View>
    </View>
  );
}
