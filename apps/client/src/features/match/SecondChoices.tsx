import { PURPOSE_NAMES, secondMaterials, type CardMatch, t } from '@kelmot/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Choices } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** The other materials of the job: which one was chosen and why, and the alternatives. */
export function SecondChoices({
  match,
  chosen,
  onChoose,
}: {
  match: CardMatch;
  chosen: Readonly<Record<string, string>>;
  onChoose: (next: Readonly<Record<string, string>>) => void;
}) {
  const { tell } = useWords();
  const asked = useMemo(() => secondMaterials(match.job()), [match]);
  if (asked.length === 0) return null;
  return (
    <View className="gap-3 border-b border-rule px-4 py-4" testID="seconds">
      <Txt as="rowBold" role="heading">
        {t('With it')}
      </Txt>
      {asked.map(({ purpose, card, because, options }) => {
        const label = PURPOSE_NAMES[purpose];
        return (
          <View key={purpose} className="gap-1.5">
            <Txt as="inline">
              {label}: {card.code} {card.name}
            </Txt>
            {because ? <Txt as="label">{tell(because)}</Txt> : null}
            {options.length > 1 ? (
              <Choices
                id={`second-${purpose}`}
                label={label}
                options={options.map((o) => ({ value: o.code, label: o.code }))}
                value={card.code}
                onPick={(code) => onChoose({ ...chosen, [purpose]: code })}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
