import {
  drawSection,
  familyOf,
  type DamageShape,
  type Damage,
  type FamilyId,
  t,
} from '@kelmot/core';
import { Pressable, View } from 'react-native';
import { tabIndexAt } from '@/shared/ui/keyboard';
import { SectionDrawing } from '@/shared/ui/SectionView';
import { Txt } from '@/shared/ui/Txt';

/** Picture tiles for the shape of the damage, drawn like the section of the repair. */
export function ShapeTiles({
  family,
  shapes,
  value,
  onPick,
  index,
}: {
  family: FamilyId;
  shapes: DamageShape[];
  value: string | undefined;
  onPick: (shape: string) => void;
  index: number;
}) {
  const chosen = shapes.findIndex((s) => s.shape === value);
  return (
    <View
      role="radiogroup"
      aria-label={t('Shape of the damage')}
      className="flex-row flex-wrap gap-2"
    >
      {shapes.map((s, at) => {
        const on = s.shape === value;
        const drawing = drawSection(family, { shape: s.shape, ...s.typical } as Damage, {
          width: 152,
          height: 84,
          system: 'metric',
          tag: s.shape,
          material: familyOf(family).typicalParent,
          medium: null,
          layers: [],
          edgeMm: null,
          label: null,
          dimensions: false,
          unknown: [],
        });
        return (
          <Pressable
            key={s.shape}
            role="radio"
            aria-checked={on}
            tabIndex={tabIndexAt(at, chosen)}
            testID={`shape-${index}-${s.shape}`}
            onPress={() => onPick(s.shape)}
            className={`w-[48%] overflow-hidden rounded border-[1.5px] bg-sheet active:bg-shade ${on ? 'border-ink' : 'border-rule'}`}
          >
            <View className="items-center overflow-hidden">
              <SectionDrawing drawing={drawing} />
            </View>
            <View className={`px-2.5 py-1.5 ${on ? 'bg-ink' : ''}`}>
              <Txt as="inline" className={on ? 'text-sheet' : ''}>
                {s.title}
              </Txt>
              <Txt as="label" className={on ? 'text-sheet' : ''} numberOfLines={2}>
                {s.hint}
              </Txt>
            </View>
          </Pressable>
        );
      })}
    </View>
  );
}
