import type { PackCoverage as Coverage } from '@kelmot/core/plan/packCoverage';
import {
  familyOf,
  packCoverage,
  readField,
  formatQuantity,
  type Card,
  type FamilyId,
  type SystemCard,
  type UnitSystem,
  type Worked,
  t,
} from '@kelmot/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { asTyped, ShapeTiles } from '@/features/survey';
import { useCardsQuery, useSiteQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { Choices, FieldBox, FieldError, FieldFrame } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { WorkingRows } from '@/shared/ui/Working';

/** Typical sizes of a shape, as they would be typed. */
const typicalOf = (family: string, shape: string, units: UnitSystem): Record<string, string> => {
  const found = familyOf(family).shapes.find((s) => s.shape === shape);
  return Object.fromEntries(
    Object.entries(found?.typical ?? {}).map(([key, value]) => {
      const field = found?.fields[key];
      if (field?.kind !== 'quantity') return [key, String(value)];
      return [key, asTyped(value, field.quantity, units)];
    }),
  );
};

const NO_CARDS: readonly Card[] = [];

function Big({ label, text, id }: { label: string; text: string; id: string }) {
  return (
    <View className="min-w-[104px]">
      <Txt as="label">{label}</Txt>
      <Txt as="row" testID={id}>
        {text}
      </Txt>
    </View>
  );
}

/**
 * How far a pack goes: for a card and a pack, how much of a damage one pack covers. Amounts as a plan would use them.
 */
export function PackCoverage({ card }: { card: SystemCard }) {
  const units = useAppSelector((s) => s.settings.units);
  const { data: site } = useSiteQuery();
  const { data: library = NO_CARDS } = useCardsQuery();
  const [family, setFamily] = useState(card.families[0] ?? '');
  const [packId, setPackId] = useState(card.packs[0]?.id ?? '');
  const [shape, setShape] = useState(familyOf(family).shapes[0]?.shape ?? '');
  const [sizes, setSizes] = useState(() => typicalOf(family, shape, units));
  const { shapes, title } = familyOf(family);
  const fields = shapes.find((s) => s.shape === shape)?.fields ?? {};
  const pick = (nextFamily: string, nextShape: string) => {
    setFamily(nextFamily);
    setShape(nextShape);
    setSizes(typicalOf(nextFamily, nextShape, units));
  };
  const answer = useMemo(
    () =>
      site
        ? packCoverage({ card, packId, family, shape, sizes, units, site: site.settings, library })
        : null,
    [card, packId, family, shape, sizes, units, site, library],
  );
  const errors = Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) => {
      const read = readField(field, sizes[key], units);
      return 'message' in read ? [[key, read.message]] : [];
    }),
  );
  return (
    <View className="gap-4 py-3" testID={`how-far-${card.code}`}>
      {answer?.ok ? (
        <HowFar answer={answer} units={units} />
      ) : answer && Object.keys(errors).length === 0 ? (
        <FieldError error={answer.why} />
      ) : null}
      {card.families.length > 1 ? (
        <FieldFrame label={t('Repair')}>
          <Choices
            id="far-family"
            label={t('Repair')}
            options={card.families.map((id) => ({ value: id, label: familyOf(id).title }))}
            value={family}
            onPick={(id) => pick(id, familyOf(id).shapes[0]?.shape ?? '')}
          />
        </FieldFrame>
      ) : (
        <Txt as="inline">{title}</Txt>
      )}
      <ShapeTiles
        family={family as FamilyId}
        shapes={shapes}
        value={shape}
        onPick={(s) => pick(family, s)}
        index={0}
      />
      <FieldFrame label={t('Pack')}>
        <Choices
          id="far-pack"
          label={t('Pack')}
          options={card.packs.map((p) => ({ value: p.id, label: p.label }))}
          value={packId}
          onPick={setPackId}
        />
      </FieldFrame>
      {Object.entries(fields).map(([key, field]) => (
        <FieldBox
          key={`${shape}.${key}`}
          id={`far-${key}`}
          field={field}
          text={sizes[key] ?? ''}
          error={errors[key]}
          onText={(text) => setSizes({ ...sizes, [key]: text })}
        />
      ))}
      {answer?.ok ? <WorkingRows lines={answer.working} /> : null}
    </View>
  );
}

function HowFar({ answer, units }: { answer: Worked<Coverage>; units: UnitSystem }) {
  return (
    <View
      className="flex-row flex-wrap gap-x-8 gap-y-2 border-b border-ink bg-sheet p-4"
      role="status"
      aria-label={t('How far it goes')}
    >
      <Big label={t('whole ones')} text={String(answer.count)} id="far-count" />
      {answer.lengthMm === null ? null : (
        <Big
          label={t('length')}
          text={formatQuantity(answer.lengthMm, 'run', units)}
          id="far-length"
        />
      )}
      {answer.areaMm2 === null ? null : (
        <Big label={t('area')} text={formatQuantity(answer.areaMm2, 'area', units)} id="far-area" />
      )}
      <Big
        label={t('one takes')}
        text={formatQuantity(answer.each, answer.quantity, units)}
        id="far-each"
      />
    </View>
  );
}
