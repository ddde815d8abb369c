import { t } from '@kelmot/core';
import { View } from 'react-native';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { keptRead } from '@/store/outbox';
import { SecondaryButton } from '@/shared/ui/Button';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { COMMAND_NAMES } from './RejectedCommands';

/** Records that the server kept with an earlier plan, because they were made on it; shown until read. */
export function EarlierPlanRecord({ id }: { id: string }) {
  const dispatch = useAppDispatch();
  const all = useAppSelector((s) => s.outbox.kept);
  const own = all.filter((k) => k.repairId === id);
  if (own.length === 0) return null;
  return (
    <View
      role="alert"
      testID="kept-elsewhere"
      className="gap-3 border-b border-ink bg-sheet px-4 py-3"
    >
      <View className="flex-row items-start gap-3">
        <StopMark maybe size={28} />
        <View className="min-w-0 flex-1 gap-1">
          <Txt as="row" className="text-ochreInk">
            {t('This repair has a new plan.')}
          </Txt>
          {own.map((k) => (
            <Txt key={k.id}>
              {t('Saved with plan {plan}, on which it was made: {command}.', {
                plan: k.plan,
                command: COMMAND_NAMES[k.type],
              })}
            </Txt>
          ))}
          <Txt as="label">{t('It does not count for the new plan. See it at Accept.')}</Txt>
        </View>
      </View>
      <SecondaryButton label={t('OK')} testID="kept-read" onPress={() => dispatch(keptRead(id))} />
    </View>
  );
}
