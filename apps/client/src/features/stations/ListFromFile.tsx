import { t } from '@kelmot/core';
import type { QuantityId } from '@kelmot/core';
import { readList } from '@kelmot/papers/readList';
import { useState } from 'react';
import { View } from 'react-native';
import { chosenFile, TABLES } from '@/offline/chosenFile';
import { LinkButton } from '@/shared/ui/Button';
import { useWords } from '@/shared/ui/useWords';
import { FieldError } from '@/shared/ui/fields';

/** Puts the readings of a file into the box for review; shows the error if the file cannot be read. */
export function ListFromFile({
  of,
  stepId,
  take,
}: {
  of: QuantityId;
  stepId: string;
  take: (text: string) => void;
}) {
  const { units } = useWords();
  const [wrong, setWrong] = useState<string | null>(null);
  const choose = async () => {
    const file = await chosenFile(TABLES);
    if (!file) return;
    const read = readList(await file.text(), of, units);
    setWrong(read.ok ? null : read.say);
    if (read.ok) take(read.values.join(' '));
  };
  return (
    <View className="items-start gap-1">
      <LinkButton
        label={t('Import readings from a file (CSV)')}
        testID={`file-${stepId}`}
        onPress={() => void choose()}
      />
      <FieldError error={wrong} testID={`file-wrong-${stepId}`} />
    </View>
  );
}
