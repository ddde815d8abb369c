import {
  draftFields,
  familyOf,
  withAnswer,
  type Field,
  type SurveyDraft,
  type SiteSettings,
} from '@kelmot/core';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { draftChanged, type DraftChange } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { FieldBox } from '@/shared/ui/fields';
import { useAssetsQuery, useSiteQuery } from '@/store/api';
import { withoutDamage } from './draftOf';
import { KnownAirLine } from './KnownAirLine';
import { useHiddenQuestions } from './useHiddenQuestions';
import {
  Part,
  Damages,
  QuietFields,
  IntentField,
  AddDamage,
  WhatKind,
  WhatIsDamaged,
} from './SurveyParts';

interface FormProps {
  draftKey: string;
  draft: SurveyDraft;
  errors: Record<string, string>;
  /** A repair that has begun keeps its family. */
  fixedFamily: boolean;
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

/** Callbacks to change the survey draft, and to answer one of its questions. */
function useDraftChange(draftKey: string, draft: SurveyDraft, site: SiteSettings | null) {
  const dispatch = useAppDispatch();
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
      put((now) => ({ ...now, texts: withAnswer(now, { path, text, site }) })),
    [put, site],
  );
  return { put, answer };
}

/** The survey form, made from the family's fields: a new family adds data, not a screen. */
export function SurveyForm({ draftKey, draft, errors, fixedFamily }: FormProps) {
  const { data: assets = [] } = useAssetsQuery();
  const units = useAppSelector((s) => s.settings.units);
  const { data: known } = useSiteQuery();
  const site = known?.settings ?? null;
  const plant = { units, site };
  const family = familyOf(draft.family);
  const { put, answer } = useDraftChange(draftKey, draft, site);
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
      <WhatIsDamaged
        draft={draft}
        errors={errors}
        fixedFamily={fixedFamily}
        put={put}
        plant={plant}
      />
      {fixedFamily ? null : <WhatKind asset={asset} draft={draft} put={put} plant={plant} />}
      <Damages
        rows={rows}
        errors={errors}
        draft={draft}
        family={family}
        setShape={setShape}
        fields={fields}
        box={box}
        removeDamage={removeDamage}
      />
      {draft.shapes.length > 0 && draft.shapes.length < family.mostDamages ? (
        <AddDamage put={put} />
      ) : null}
      {asked.map((g) => (
        <Part key={g.id} title={g.title}>
          {g.id === 'readings' ? <KnownAirLine draftKey={draftKey} draft={draft} /> : null}
          {loud(g.id).map((f) => box(f.path, f.field))}
          {g.id === 'window' ? <IntentField draft={draft} put={put} /> : null}
        </Part>
      ))}
      {quiet.length > 0 ? (
        <QuietFields quiet={quiet} open={open} setOpen={setOpen} box={box} />
      ) : null}
    </View>
  );
}
