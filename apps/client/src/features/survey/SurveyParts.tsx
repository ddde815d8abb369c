import type { Asset } from '@kelmot/contract';
import {
  familiesFor,
  INTENT_NAMES,
  INTENTS,
  type FamilyId,
  type Field,
  type SurveyDraft,
  type Family,
  type Placed,
  t,
  letterOf,
} from '@kelmot/core';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { type DraftChange } from '@/store/drafts';
import { Disclosure, LinkButton } from '@/shared/ui/Button';
import { Choices, FieldFrame } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { AssetPicker } from './AssetPicker';
import { withAsset, withFamily, type Plant } from './draftOf';
import { FamilyPicker } from './FamilyPicker';
import { ShapeTiles } from './ShapeTiles';

export function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View className="gap-4 border-b border-rule px-4 py-4" role="group" aria-label={title}>
      <Txt as="rowBold" role="heading">
        {title}
      </Txt>
      {children}
    </View>
  );
}

export function Damages({
  rows,
  errors,
  draft,
  family,
  setShape,
  fields,
  box,
  removeDamage,
}: {
  rows: number;
  errors: Record<string, string>;
  draft: SurveyDraft;
  family: Family;
  setShape: (index: number, shape: string) => void;
  fields: Placed[];
  box: (path: string, field: Field) => ReactNode;
  removeDamage: (index: number) => void;
}) {
  return (
    <>
      {Array.from({ length: rows }, (_, i) => (
        <Part
          key={i}
          title={rows > 1 ? t('Damage {letter}', { letter: letterOf(i) }) : t('The damage')}
        >
          <FieldFrame label={t('Shape')} error={i === 0 ? errors.damages : undefined}>
            <ShapeTiles
              family={draft.family as FamilyId}
              shapes={family.shapes}
              value={draft.shapes[i]}
              onPick={(s) => setShape(i, s)}
              index={i}
            />
          </FieldFrame>
          {fields
            .filter((f) => f.path.startsWith(`damages.${i}.`))
            .map((f) => box(f.path, f.field))}
          {rows > 1 ? (
            <LinkButton
              label={t('Remove damage {letter}', { letter: letterOf(i) })}
              onPress={() => removeDamage(i)}
              testID={`damage-remove-${i}`}
            />
          ) : null}
        </Part>
      ))}
    </>
  );
}

export function QuietFields({
  quiet,
  open,
  setOpen,
  box,
}: {
  quiet: Placed[];
  open: boolean;
  setOpen: (value: boolean) => void;
  box: (path: string, field: Field) => ReactNode;
}) {
  return (
    <View className="border-b border-rule px-4" testID="survey-quiet">
      <Disclosure
        label={t('{quiet} more without effect here', { quiet: quiet.length })}
        open={open}
        onToggle={() => setOpen(!open)}
      >
        {quiet.map((f) => box(f.path, f.field))}
      </Disclosure>
    </View>
  );
}

export function IntentField({
  draft,
  put,
}: {
  draft: SurveyDraft;
  put: (change: DraftChange['change']) => void;
}) {
  return (
    <FieldFrame label={t('Intent')} why={t('You can change this at Match.')}>
      <Choices
        id="survey-intent"
        label={t('Intent')}
        options={INTENTS.map((value) => ({ value, label: INTENT_NAMES[value] }))}
        value={draft.intent}
        onPick={(intent) => put((now) => ({ ...now, intent }))}
      />
    </FieldFrame>
  );
}

export function AddDamage({ put }: { put: (change: DraftChange['change']) => void }) {
  return (
    <View className="border-b border-rule px-4">
      <LinkButton
        label={t('Add another damage on it')}
        testID="damage-add"
        onPress={() => put((now) => ({ ...now, shapes: [...now.shapes, now.shapes[0] ?? ''] }))}
      />
    </View>
  );
}

export function WhatKind({
  asset,
  draft,
  put,
  plant,
}: {
  asset: Asset | null;
  draft: SurveyDraft;
  put: (change: DraftChange['change']) => void;
  plant: Plant;
}) {
  return (
    <Part title={t('What kind of repair')}>
      <FamilyPicker
        kind={asset?.kind ?? null}
        value={draft.family}
        onPick={(family) =>
          family === draft.family
            ? undefined
            : put((now) => withFamily(now, { family, asset, plant }))
        }
      />
    </Part>
  );
}

export function WhatIsDamaged({
  draft,
  errors,
  fixedFamily,
  put,
  plant,
}: {
  draft: SurveyDraft;
  errors: Record<string, string>;
  fixedFamily: boolean;
  put: (change: DraftChange['change']) => void;
  plant: Plant;
}) {
  return (
    <Part title={t('What is damaged')}>
      <AssetPicker
        draft={draft}
        errors={errors}
        onPick={(a) => {
          const family = familiesFor(a.kind)[0]?.id ?? draft.family;
          const begun = fixedFamily || draft.shapes.length > 0 || draft.family === family;
          put((now) =>
            begun ? withAsset(now, a, plant) : withFamily(now, { family, asset: a, plant }),
          );
        }}
        onType={(asset) => put((now) => ({ ...now, asset }))}
      />
    </Part>
  );
}
