import { criteria, weightsOf, type Intent, t } from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { weightMoved, weightsReset } from '@/store/settings';
import { Disclosure, LinkButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';

const STEP = 0.05;

function Nudge({
  sign,
  label,
  id,
  onPress,
}: {
  sign: string;
  label: string;
  id: string;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      testID={id}
      onPress={onPress}
      className="h-12 w-12 items-center justify-center rounded border-[1.5px] border-ink bg-sheet active:bg-shade"
    >
      <Txt as="row">{sign}</Txt>
    </Pressable>
  );
}

/** The criteria of the ranking and their weights. The planner moves a weight, and the ranking follows at once. */
export function CriteriaWeights({ intent }: { intent: Intent }) {
  const dispatch = useAppDispatch();
  const own = useAppSelector((s) => s.settings.weights[intent]);
  const [open, setOpen] = useState(false);
  const weights = weightsOf(intent, own);
  const move = (id: string, by: number) =>
    dispatch(
      weightMoved({
        intent,
        weights: { ...weights, [id]: Math.min(1, Math.max(0, (weights[id] ?? 0) + by)) },
      }),
    );
  return (
    <View className="border-b border-rule px-4">
      <Disclosure
        label={own ? t('Ranking: your own weights') : t('Ranking weights')}
        open={open}
        onToggle={() => setOpen(!open)}
      >
        {criteria.map((c) => {
          const share = weights[c.id] ?? 0;
          return (
            <View key={c.id} className="flex-row items-center gap-3">
              <View className="min-w-0 flex-1 gap-1">
                <Txt as="inline">
                  {c.name} {Math.round(share * 100)} %
                </Txt>
                <View className="h-2 border border-ink">
                  <View className="h-full bg-moss" style={{ width: `${share * 100}%` }} />
                </View>
              </View>
              <Nudge
                sign="−"
                id={`weight-${c.id}-less`}
                label={t('{name} counts less', { name: c.name })}
                onPress={() => move(c.id, -STEP)}
              />
              <Nudge
                sign="+"
                id={`weight-${c.id}-more`}
                label={t('{name} counts more', { name: c.name })}
                onPress={() => move(c.id, STEP)}
              />
            </View>
          );
        })}
        {own ? (
          <LinkButton
            label={t('Reset to default weights')}
            testID="weights-reset"
            onPress={() => dispatch(weightsReset(intent))}
          />
        ) : null}
      </Disclosure>
    </View>
  );
}
