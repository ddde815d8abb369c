import {
  draftFields,
  familiesFor,
  familyOf,
  INTENT_NAMES,
  INTENTS,
  withAnswer,
  type FamilyId,
  type Field,
  type SurveyDraft,
} from '@kelmot/core';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { draftChanged, type DraftChange } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Disclosure, LinkButton } from '@/shared/ui/Button';
import { Choices, FieldBox, FieldFrame } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useAssetsQuery, useSiteQuery } from '@/store/api';
import { AssetPicker } from './AssetPicker';
import { withAsset, withFamily, withoutDamage } from './draftOf';
import { FamilyPicker } from './FamilyPicker';
import { KnownAirLine } from './KnownAirLine';
import { ShapeTiles } from './ShapeTiles';
import { useHiddenQuestions } from './useHiddenQuestions';

interface FormProps {
  draftKey: string;
  draft: SurveyDraft;
  errors: Record<string, string>;
  /** A repair that has begun keeps its family. */
  fixedFamily: boolean;
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View className="gap-4 border-b border-rule px-4 py-4" role="group" aria-label={title}>
      <Txt as="rowBold" role="heading">
        {title}
      </Txt>
      {children}
    </View>
  );
}

/** One question with its typed text: typing redraws only its own box at once, and the rest later. */
const Box = memo(function Box({
  draftKey,
  path,
  field,
  shown = '',
  error,
  answer,
}: {
  draftKey: string;
  path: string;
  field: Field;
  shown: string | undefined;
  error: string | undefined;
  answer: (path: string, text: string) => void;
}) {
  const typed = useAppSelector((s) => s.drafts.surveys[draftKey]?.texts[path]);
  return (
    <FieldBox
      id={path}
      field={field}
      text={typed ?? shown}
      error={error}
      onText={(text) => answer(path, text)}
    />
  );
});

/** The survey form, made from the family's fields: a new family adds data, not a screen. */
export function SurveyForm({ draftKey, draft, errors, fixedFamily }: FormProps) {
  const { data: assets = [] } = useAssetsQuery();
  const dispatch = useAppDispatch();
  const units = useAppSelector((s) => s.settings.units);
  const { data: known } = useSiteQuery();
  const site = known?.settings ?? null;
  const plant = { units, site };
  const family = familyOf(draft.family);
  const shown = useRef(draft);
  useEffect(() => {
    shown.current = draft;
  });
  const put = useCallback(
    (change: DraftChange['change']) =>
      dispatch(draftChanged({ key: draftKey, shown: shown.current, change })),
    [dispatch, draftKey],
  );
  const answer = useCallback(
    (path: string, text: string) =>
      put((now) => ({ ...now, texts: withAnswer(now, path, text, site) })),
    [put, site],
  );
  const fields = draftFields(draft);
  const silent = useHiddenQuestions(draft);
  const [open, setOpen] = useState(false);
  const loud = (group: string) =>
    fields.filter((f) => f.path.startsWith(`${group}.`) && !silent.has(f.path));
  const asked = family.groups.filter((g) => g.id === 'window' || loud(g.id).length > 0);
  const quiet = fields.filter((f) => silent.has(f.path));
  const box = (path: string, field: Field) => (
    <Box
      key={path}
      draftKey={draftKey}
      path={path}
      field={field}
      shown={draft.texts[path]}
      error={errors[path]}
      answer={answer}
    />
  );
  const setShape = (index: number, shape: string) => {
    put((now) => {
      const shapes = [...now.shapes];
      shapes[index] = shape;
      return { ...now, shapes };
    });
  };
  const removeDamage = (index: number) => {
    put((now) => withoutDamage(now, index));
  };
  const rows = Math.max(1, draft.shapes.length);
  const asset = assets.find((a) => a.id === draft.asset.id) ?? null;
  return (
    <View>
      <Part title="What is damaged">
        <AssetPicker
          draft={draft}
          errors={errors}
          onPick={(a) => {
            const family = familiesFor(a.kind)[0]?.id ?? draft.family;
            const begun = fixedFamily || draft.shapes.length > 0 || draft.family === family;
            put((now) => (begun ? withAsset(now, a, plant) : withFamily(now, family, a, plant)));
          }}
          onType={(asset) => put((now) => ({ ...now, asset }))}
        />
      </Part>
      {fixedFamily ? null : (
        <Part title="What kind of repair">
          <FamilyPicker
            kind={asset?.kind ?? null}
            value={draft.family}
            onPick={(family) =>
              family === draft.family
                ? undefined
                : put((now) => withFamily(now, family, asset, plant))
            }
          />
        </Part>
      )}
      {Array.from({ length: rows }, (_, i) => (
        <Part key={i} title={rows > 1 ? `Damage ${i + 1}` : 'The damage'}>
          <FieldFrame label="Shape" error={i === 0 ? errors.damages : undefined}>
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
              label={`Remove damage ${i + 1}`}
              onPress={() => removeDamage(i)}
              testID={`damage-remove-${i}`}
            />
          ) : null}
        </Part>
      ))}
      {draft.shapes.length > 0 && draft.shapes.length < family.mostDamages ? (
        <View className="border-b border-rule px-4">
          <LinkButton
            label="Add another damage on it"
            testID="damage-add"
            onPress={() => put((now) => ({ ...now, shapes: [...now.shapes, now.shapes[0] ?? ''] }))}
          />
        </View>
      ) : null}
      {asked.map((g) => (
        <Part key={g.id} title={g.title}>
          {g.id === 'readings' ? <KnownAirLine draftKey={draftKey} draft={draft} /> : null}
          {loud(g.id).map((f) => box(f.path, f.field))}
          {g.id === 'window' ? (
            <FieldFrame label="Intent" why="You can change this at Match.">
              <Choices
                id="survey-intent"
                label="Intent"
                options={INTENTS.map((value) => ({ value, label: INTENT_NAMES[value] }))}
                value={draft.intent}
                onPick={(intent) => put((now) => ({ ...now, intent }))}
              />
            </FieldFrame>
          ) : null}
        </Part>
      ))}
      {quiet.length > 0 ? (
        <View className="border-b border-rule px-4" testID="survey-quiet">
          <Disclosure
            label={`${quiet.length} more without effect here`}
            open={open}
            onToggle={() => setOpen(!open)}
          >
            {quiet.map((f) => box(f.path, f.field))}
          </Disclosure>
        </View>
      ) : null}
    </View>
  );
}
