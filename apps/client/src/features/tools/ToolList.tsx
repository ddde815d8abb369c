import { calcTitle, t } from '@kelmot/core';
import { calcs } from '@kelmot/core/calculations/registry';
import { router } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';

/** The one tool that needs a card of the store, and so is not a plain calculation. */
const HOW_FAR = {
  name: 'how-far',
  title: t('How far does one pack go?'),
  purpose: t('What one pack of a card covers of a crack, a patch or a hole.'),
};

/** Every calculation as a quick tool, found by name or purpose. */
export function ToolList() {
  const [sought, setSought] = useState('');
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const found = [HOW_FAR, ...calcs.map((c) => ({ ...c, title: calcTitle(c.name) }))].filter((c) =>
    words.every((w) => `${c.name} ${c.title} ${c.purpose}`.toLowerCase().includes(w)),
  );
  return (
    <View className="gap-2 border-b border-ink px-4 py-4">
      <Txt as="rowBold" role="heading">
        {t('Quick tools')}
      </Txt>
      <TextBox
        id="tools-search"
        label={t('Find a tool')}
        placeholder={t('Find a tool: dew, ratio, bolts')}
        text={sought}
        onText={setSought}
      />
      <View role="list" className="md:flex-row md:flex-wrap">
        {found.map((c) => (
          <View key={c.name} role="listitem" className="md:w-1/2 md:pr-4">
            <Pressable
              role="link"
              testID={`tool-open-${c.name}`}
              onPress={() => router.navigate(`/know-how/${c.name}`)}
              className="min-h-[56px] justify-center border-b border-rule py-1.5 active:bg-shade"
            >
              <Txt as="inline">{c.title}</Txt>
              <Txt as="label">{c.purpose}</Txt>
            </Pressable>
          </View>
        ))}
      </View>
      {found.length === 0 ? (
        <Txt className="text-pencil">
          {t('No tool found. Try one word, such as volume, cure or hardness.')}
        </Txt>
      ) : null}
    </View>
  );
}
