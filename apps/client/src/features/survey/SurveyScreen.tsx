import type { AppDispatch } from '@/store/store';
import type { RepairView } from '@kelmot/contract';
import {
  drawSection,
  familyOf,
  MEDIUM_NAMES,
  MEDIA,
  readDraft,
  sketchOf,
  type Drawing,
  type FamilyId,
  type SurveyDraft,
  type UnitSystem,
  type Issue,
  t,
} from '@kelmot/core';
import { router } from 'expo-router';
import { memo, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { StationFrame } from '@/features/frame';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { useSiteQuery } from '@/store/api';
import { draftDropped, draftOpened, draftKeyOf, type Base } from '@/store/drafts';
import { siteTime } from '@/store/clock';
import { useAppDispatch, useAppSelector, useAppStore } from '@/store/hooks';
import { useSend } from '@/store/useSend';
import { usePerson } from '@/store/usePerson';
import { LinkButton, PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { goToFirstWrong } from '@/shared/ui/keyboard';
import { SectionView } from '@/shared/ui/SectionView';
import { Txt } from '@/shared/ui/Txt';
import { draftOf, newDraft } from './draftOf';
import { FromPlanFile } from './FromPlanFile';
import { PlanChangePreview } from './PlanChangePreview';
import { useDraftBase } from './useDraftBase';
import { SurveyForm } from './SurveyForm';

/** The section of what is typed so far; null before a shape is chosen. */
function draftSection(
  draft: SurveyDraft,
  { units, width, height }: { units: UnitSystem; width: number; height: number },
): Drawing | null {
  const sketch = sketchOf(draft, 0, units);
  if (!sketch || width <= 0) return null;
  const medium = MEDIA.find((m) => m === draft.texts['service.medium']);
  return drawSection(draft.family as FamilyId, sketch.damage, {
    width,
    height,
    system: units,
    tag: draft.asset.tag || t('new repair'),
    material: sketch.material,
    medium: medium ? MEDIUM_NAMES[medium].toLowerCase() : null,
    layers: [],
    edgeMm: null,
    label: null,
    dimensions: true,
    unknown: sketch.unknown,
  });
}

function Aside({ draft, units }: { draft: SurveyDraft; units: UnitSystem }) {
  const drawing = draftSection(draft, { units, width: 379, height: 250 });
  if (!drawing)
    return (
      <Txt className="p-4 text-pencil">
        {t('Choose the shape of the damage. Its section is then drawn here.')}
      </Txt>
    );
  return (
    <View>
      <SectionView drawing={drawing} />
      {familyOf(draft.family).shapes.length > 0 && draft.shapes.length > 1 ? (
        <Txt as="label" className="p-4">
          {t('Drawn: damage 1 of {shapes}.', { shapes: draft.shapes.length })}
        </Txt>
      ) : null}
    </View>
  );
}

interface SurveyProps {
  view?: RepairView;
  repair?: OpenRepair;
}

/** The survey of a new or an existing repair. Every letter stays on the device until it is saved. */
export function SurveyScreen({ view, repair }: SurveyProps) {
  const dispatch = useAppDispatch();
  const clock = useAppSelector((s) => s.clock);
  const me = usePerson();
  const units = useAppSelector((s) => s.settings.units);
  const draftKey = draftKeyOf(view?.id, me?.id ?? '');
  const kept = useAppSelector((s) => s.drafts.surveys[draftKey]);
  const stored = useMemo(() => (view ? draftOf(view.survey, units) : null), [view, units]);
  const { data: site, isLoading } = useSiteQuery();
  const fresh = useMemo(
    () => newDraft('F2', new Date(siteTime(clock)).toISOString(), site?.settings ?? null),
    [site, clock],
  );
  const { base, moved, stale } = useDraftBase(view, draftKey);
  const draft = (stale ? undefined : kept) ?? stored ?? fresh;
  useEffect(() => {
    if ((!kept || stale) && !isLoading) dispatch(draftOpened({ key: draftKey, draft, base }));
  }, [kept, stale, isLoading, draft, draftKey, base, dispatch]);
  // A letter shows in its box at once; the section and results follow when there is time.
  const calm = useDeferredValue(draft);
  return (
    <Surveyed
      view={view}
      repair={repair}
      draftKey={draftKey}
      draft={calm}
      stored={stored}
      moved={moved}
    />
  );
}

interface SurveyedProps extends SurveyProps {
  draftKey: string;
  draft: SurveyDraft;
  stored: SurveyDraft | null;
  /** The survey that the draft was begun on, if somebody else has changed it since. */
  moved: Base | null;
}

/** The label of the save button; `wrong` is the number of fields to correct. */
const saveLabel = (at: { wrong: number; begun: boolean; changed: boolean }): string => {
  if (at.wrong > 0) return t('{wrong} to correct above', { wrong: at.wrong });
  if (!at.changed) return t('On to Match');
  return at.begun ? t('Mixing has begun: the survey is fixed') : t('Match the materials');
};

const Surveyed = memo(function Surveyed({
  view,
  repair,
  draftKey,
  draft,
  stored,
  moved,
}: SurveyedProps) {
  const dispatch = useAppDispatch();
  const send = useSend();
  const store = useAppStore();
  const me = usePerson();
  const units = useAppSelector((s) => s.settings.units);
  const [shown, setShown] = useState(false);
  const { survey, issues } = useMemo(() => readDraft(draft, units), [draft, units]);
  const errors = shown ? Object.fromEntries(issues.map((i) => [i.path, i.message])) : {};
  const canWrite = me !== undefined && me.role !== 'viewer';
  const begun = (view?.mixes.length ?? 0) > 0;
  const differs = (typed: SurveyDraft) => !view || JSON.stringify(typed) !== JSON.stringify(stored);
  const changed = differs(draft);
  const save = () => {
    setShown(true);
    const { drafts, clock } = store.getState();
    const typed = drafts.surveys[draftKey] ?? draft;
    const { survey } = readDraft(typed, units);
    if (!survey) goToFirstWrong();
    if (!survey || !canWrite) return;
    if (!view) {
      const repairId = uuidv7();
      const at = new Date(siteTime(clock)).toISOString();
      const timed = { ...survey, window: { ...survey.window, startAt: at } };
      send({ type: 'repair.create', repairId, survey: timed });
      dispatch(draftDropped(draftKey));
      router.replace(`/repair/${repairId}/match`);
      return;
    }
    // With the version that was seen: changes by others are shown before anything overwrites them.
    if (differs(typed) && !begun) repair?.send({ type: 'survey.save', survey }, moved?.version);
    dispatch(draftDropped(draftKey));
    router.navigate(`/repair/${view.id}/match`);
  };
  const wrong = shown && issues.length > 0;
  return (
    <StationFrame
      id={view?.id ?? null}
      station="survey"
      pinned
      reached={view?.station ?? 'survey'}
      tag={draft.asset.tag}
      title={draft.asset.name || t('New repair')}
      header={(width) => {
        const drawing = draftSection(draft, { units, width, height: 168 });
        return drawing ? <SectionView drawing={drawing} /> : null;
      }}
      aside={<Aside draft={draft} units={units} />}
      action={
        <PrimaryButton
          label={saveLabel({ wrong: wrong ? issues.length : 0, begun, changed })}
          onPress={save}
          disabled={!canWrite || (begun && changed)}
          testID="survey-save"
        />
      }
    >
      {repair ? <RejectedCommands waiting={repair.waiting} /> : null}
      {wrong ? <ToCorrect issues={issues} /> : null}
      {moved ? <MovedByAnother /> : null}
      {view && changed && !begun ? <PlanChangePreview view={view} survey={survey} /> : null}
      <SurveyForm
        draftKey={draftKey}
        draft={draft}
        errors={errors}
        fixedFamily={view !== undefined}
      />
      <DraftActions view={view} changed={changed} dispatch={dispatch} draftKey={draftKey} />
    </StationFrame>
  );
});

function DraftActions({
  view,
  changed,
  dispatch,
  draftKey,
}: {
  view: RepairView | undefined;
  changed: boolean;
  dispatch: AppDispatch;
  draftKey: string;
}) {
  return (
    <View className="gap-2 px-4 py-4">
      {view && changed ? (
        <LinkButton
          label={t('Undo my changes')}
          testID="survey-revert"
          onPress={() => dispatch(draftDropped(draftKey))}
        />
      ) : null}
      {!view ? <FromPlanFile /> : null}
      {!view ? (
        <SecondaryButton
          label={t('Delete this draft')}
          tone="remove"
          testID="draft-drop"
          onPress={() => {
            dispatch(draftDropped(draftKey));
            router.navigate('/');
          }}
        />
      ) : null}
    </View>
  );
}

function MovedByAnother() {
  return (
    <View role="status" className="border-b border-rule px-4 py-3" testID="survey-moved">
      <Txt as="inline" className="text-ochreInk">
        {t(
          'Another person changed this survey. What you typed is kept. Both versions are shown before yours replaces theirs.',
        )}
      </Txt>
    </View>
  );
}

function ToCorrect({ issues }: { issues: Issue[] }) {
  return (
    <View role="alert" className="border-b border-rule px-4 py-3" testID="survey-issues">
      <Txt as="inline" className="text-oxideInk">
        {t(
          '{count, plural, one {One field is} other {# fields are}} still to be corrected. What you typed is kept.',
          { count: issues.length },
        )}
      </Txt>
    </View>
  );
}
