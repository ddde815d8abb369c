import type { RepairView } from '@kelmot/contract';
import { changesMessage, makePlan, planChanges, type Survey, t } from '@kelmot/core';
import { useDeferredValue, useMemo } from 'react';
import { View } from 'react-native';
import { useWorkContext } from '@/shared/repair/useWorkContext';
import { useCardsQuery, useSiteQuery } from '@/store/api';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** How the plan changes with the survey as it is typed: computed at each letter, shown in one line. */
export function PlanChangePreview({ view, survey }: { view: RepairView; survey: Survey | null }) {
  const { tell } = useWords();
  const { data: site } = useSiteQuery();
  const { data: cards } = useCardsQuery();
  const plan = view.plan?.body;
  const typed = useDeferredValue(survey) ?? view.survey;
  const context = useWorkContext(typed, plan?.schools, plan?.seconds);
  const made = useMemo(() => {
    const card = cards?.find((c) => c.code === plan?.card.code);
    if (!plan || !site || card?.role !== 'system') return null;
    return makePlan(typed, card, { site: site.settings, madeAt: plan.madeAt, context });
  }, [plan, site, cards, typed, context]);
  if (!plan || !made || !survey) return null;
  if (!made.ok)
    return (
      <View
        role="status"
        className="flex-row items-center gap-3 border-b border-rule bg-sheet px-4 py-3"
        testID="replan"
      >
        <StopMark size={22} />
        <Txt className="min-w-0 flex-1 text-oxideInk">
          {t('{code} would no longer fit. {why}', { code: plan.card.code, why: tell(made.why) })}
        </Txt>
      </View>
    );
  const text = changesMessage(planChanges(plan, made.plan));
  if (!text) return null;
  return (
    <View role="status" className="border-b border-rule bg-sheet px-4 py-3" testID="replan">
      <Txt as="label">{t('With {code}, after replanning', { code: plan.card.code })}</Txt>
      <Txt as="inline">{tell(text)}</Txt>
    </View>
  );
}
