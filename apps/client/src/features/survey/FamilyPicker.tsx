import { familiesFor, familyOf, t } from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { LinkButton } from '@/shared/ui/Button';
import { tabIndexAt } from '@/shared/ui/keyboard';
import { Txt } from '@/shared/ui/Txt';

/** Selects the kind of repair: the usual ones for this kind of asset first, the others on touch. */
export function FamilyPicker({
  kind,
  value,
  onPick,
}: {
  kind: string | null;
  value: string;
  onPick: (family: string) => void;
}) {
  const [all, setAll] = useState(false);
  const ordered = familiesFor(kind);
  const usual = ordered.filter((f) => kind !== null && f.kinds.includes(kind));
  const shown = all || usual.length === 0 ? ordered : usual;
  const chosen = familyOf(value);
  const list = shown.includes(chosen) ? shown : [chosen, ...shown];
  return (
    <View className="gap-2">
      <View role="radiogroup" aria-label={t('Kind of repair')} className="gap-1.5">
        {list.map((f, i) => {
          const on = f.id === value;
          return (
            <Pressable
              key={f.id}
              role="radio"
              aria-checked={on}
              tabIndex={tabIndexAt(i, list.indexOf(chosen))}
              testID={`family-${f.id}`}
              onPress={() => onPick(f.id)}
              className={`min-h-[48px] justify-center rounded border-[1.5px] px-3 py-1.5 ${on ? 'border-ink bg-ink' : 'border-rule bg-sheet active:bg-shade'}`}
            >
              <Txt as="inline" className={on ? 'text-sheet' : ''}>
                {f.title}
              </Txt>
              <Txt as="label" className={on ? 'text-sheet' : ''}>
                {f.hint}
              </Txt>
            </Pressable>
          );
        })}
      </View>
      {list.length < ordered.length ? (
        <LinkButton
          label={t('{ordered} other kinds of repair', { ordered: ordered.length - list.length })}
          testID="family-all"
          onPress={() => setAll(true)}
        />
      ) : null}
    </View>
  );
}
