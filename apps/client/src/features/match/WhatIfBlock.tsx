import { VERDICT_NAMES, word, type Relax, type UnitSystem, type WhatIf, t } from '@kelmot/core';
import { View } from 'react-native';
import { SecondaryButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** The text of each change, one after another. */
const sayChanges = (changes: readonly Relax[], units: UnitSystem) =>
  changes.map((c) => word(c.say, units)).join(' ');

/** The smallest changes of the survey that would allow a better system; a touch tries one. */
export function WhatIfBlock({
  found,
  onTry,
}: {
  found: readonly WhatIf[];
  onTry: (w: WhatIf) => void;
}) {
  const { units } = useWords();
  if (found.length === 0) return null;
  return (
    <View className="gap-3 border-b border-rule px-4 py-4" testID="what-if">
      <Txt as="rowBold" role="heading">
        {t('What would change this')}
      </Txt>
      {found.map((w) => (
        <View key={w.code} className="flex-row items-center gap-3">
          <View className="min-w-0 flex-1">
            <Txt as="inline">
              {w.code} {w.name}: {VERDICT_NAMES[w.verdict]}
            </Txt>
            <Txt className="text-pencil">{sayChanges(w.changes, units)}</Txt>
          </View>
          <SecondaryButton
            label={t('Try')}
            hint={t('Try {changes}, for {code}', {
              changes: sayChanges(w.changes, units),
              code: w.code,
            })}
            testID={`what-if-${w.code}`}
            onPress={() => onTry(w)}
          />
        </View>
      ))}
    </View>
  );
}

/** The change that is being tried: not saved yet; keep it or go back. */
export function TrialBar({
  changes,
  onUndo,
  onKeep,
}: {
  changes: readonly Relax[];
  onUndo: () => void;
  onKeep: (() => void) | null;
}) {
  const { units } = useWords();
  return (
    <View role="status" testID="trial" className="gap-2 border-b border-ink bg-mossTint px-4 py-3">
      <Txt as="inline">{t('Trial, not saved yet')}</Txt>
      <Txt className="text-pencil">{sayChanges(changes, units)}</Txt>
      <View className="flex-row gap-2">
        <View className="flex-1">
          <SecondaryButton label={t('Undo')} testID="trial-undo" onPress={onUndo} />
        </View>
        {onKeep ? (
          <View className="flex-1">
            <SecondaryButton label={t('Keep in the survey')} testID="trial-keep" onPress={onKeep} />
          </View>
        ) : null}
      </View>
    </View>
  );
}
