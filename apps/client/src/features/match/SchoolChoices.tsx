import {
  schoolsOf,
  familyOf,
  chosenSchools,
  type FamilyId,
  type Schools,
  type SystemCard,
  t,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Disclosure } from '@/shared/ui/Button';
import { Choices } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';

/** Where practitioners differ: both ways, the usual one here, and why. Saved with the plan. */
export function SchoolChoices({
  family,
  card,
  chosen,
  onChoose,
}: {
  family: FamilyId;
  card: SystemCard | undefined;
  chosen: Schools;
  onChoose: (next: Schools) => void;
}) {
  const [open, setOpen] = useState(false);
  const asked = schoolsOf(familyOf(family).method.schools, card);
  const now = chosenSchools(asked, chosen);
  const own = asked.filter((s) => now[s.id] !== s.usual).length;
  return (
    <View className="border-b border-rule px-4">
      <Disclosure
        label={
          own > 0
            ? t('Where practitioners differ: {own} not the usual choice', { own })
            : t('Where practitioners differ')
        }
        open={open}
        onToggle={() => setOpen(!open)}
      >
        {asked.map((s) => (
          <View key={s.id} className="gap-1.5 pb-2">
            <Txt as="inline">{s.question}</Txt>
            <Choices
              id={`school-${s.id}`}
              label={s.question}
              options={s.options.map((o) => ({
                ...o,
                label: o.value === s.usual ? t('{label} (usual)', { label: o.label }) : o.label,
              }))}
              value={now[s.id] ?? s.usual}
              onPick={(value) => onChoose({ ...chosen, [s.id]: value })}
            />
            <Txt as="label">{s.why}</Txt>
          </View>
        ))}
      </Disclosure>
    </View>
  );
}
