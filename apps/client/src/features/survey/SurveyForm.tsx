import {
  draftFields,
  familiesFor,
  familyOf,
  INTENT_NAMES,
  INTENTS,
  type FamilyId,
  type Field,
  type SurveyDraft,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { draftPut, draftText } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Disclosure, LinkButton } from '@/ui/Button';
import { Choices, FieldBox, FieldFrame } from '@/ui/fields';
import { Txt } from '@/ui/Txt';
import { useAssetsQuery, useSiteQuery } from '@/store/api';
import { AssetPicker } from './AssetPicker';
import { withAsset, withFamily } from './draftOf';
import { FamilyPicker } from './FamilyPicker';
import { KnownAirLine } from './KnownAirLine';
import { ShapeTiles } from './ShapeTiles';
import { useSilent } from './useSilent';

const MOST_DAMAGES = 12;

interface FormProps {
  draftKey: string;
  draft: SurveyDraft;
  errors: Record<string, string>;
  /** A repair that is under way keeps its kind. */
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

/** The survey, made of the family's own fields: a new family brings data here, never a screen. */
export function SurveyForm({ draftKey, draft, errors, fixedFamily }: FormProps) {
  const { data: assets = [] } = useAssetsQuery();
  const dispatch = useAppDispatch();
  const units = useAppSelector((s) => s.settings.units);
  const { data: known } = useSiteQuery();
  const site = known?.settings ?? null;
  const plant = { units, site };
  const family = familyOf(draft.family);
  const put = (next: SurveyDraft) => dispatch(draftPut({ key: draftKey, draft: next }));
  const fields = draftFields(draft);
  const silent = useSilent(draft);
  const [open, setOpen] = useState(false);
  const loud = (group: string) =>
    fields.filter((f) => f.path.startsWith(`${group}.`) && !silent.has(f.path));
  const asked = family.groups.filter((g) => g.id === 'window' || loud(g.id).length > 0);
  const quiet = fields.filter((f) => silent.has(f.path));
  const box = (path: string, field: Field) => (
    <FieldBox
      key={path}
      id={path}
      field={field}
      text={draft.texts[path] ?? ''}
      error={errors[path]}
      onText={(text) => dispatch(draftText({ key: draftKey, shown: draft, path, text, site }))}
    />
  );
  const setShape = (index: number, shape: string) => {
    const shapes = [...draft.shapes];
    shapes[index] = shape;
    put({ ...draft, shapes });
  };
  const removeDamage = (index: number) => {
    // Texts are kept by place, so those behind the one taken out move up by one.
    const texts = Object.fromEntries(
      Object.entries(draft.texts).flatMap(([path, text]) => {
        const found = /^damages\.(\d+)\.(.+)$/.exec(path);
        const at = found ? Number(found[1]) : -1;
        if (!found || at < index) return [[path, text]];
        return at === index ? [] : [[`damages.${at - 1}.${found[2]}`, text]];
      }),
    );
    put({ ...draft, shapes: draft.shapes.filter((_, i) => i !== index), texts });
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
            put(begun ? withAsset(draft, a, plant) : withFamily(draft, family, a, plant));
          }}
          onType={(asset) => put({ ...draft, asset })}
        />
      </Part>
      {fixedFamily ? null : (
        <Part title="What kind of repair">
          <FamilyPicker
            kind={asset?.kind ?? null}
            value={draft.family}
            onPick={(family) =>
              family === draft.family ? undefined : put(withFamily(draft, family, asset, plant))
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
      {draft.shapes.length > 0 && draft.shapes.length < MOST_DAMAGES ? (
        <View className="border-b border-rule px-4">
          <LinkButton
            label="Add another damage on it"
            testID="damage-add"
            onPress={() => put({ ...draft, shapes: [...draft.shapes, draft.shapes[0] ?? ''] })}
          />
        </View>
      ) : null}
      {asked.map((g) => (
        <Part key={g.id} title={g.title}>
          {g.id === 'readings' ? <KnownAirLine draftKey={draftKey} draft={draft} /> : null}
          {loud(g.id).map((f) => box(f.path, f.field))}
          {g.id === 'window' ? (
            <FieldFrame label="Meant as" why="Both are ranked at Match; you can change it there.">
              <Choices
                id="survey-intent"
                label="Meant as"
                options={INTENTS.map((value) => ({ value, label: INTENT_NAMES[value] }))}
                value={draft.intent}
                onPick={(intent) => put({ ...draft, intent })}
              />
            </FieldFrame>
          ) : null}
        </Part>
      ))}
      {quiet.length > 0 ? (
        <View className="border-b border-rule px-4" testID="survey-quiet">
          <Disclosure
            label={`${quiet.length} more that change${quiet.length === 1 ? 's' : ''} nothing here`}
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
