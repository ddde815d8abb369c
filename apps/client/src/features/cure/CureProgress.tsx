import { t } from '@kelmot/core';
import type { CureForecast } from '@kelmot/core/run/runPlan';
import { cureReason, cureFigures, cureDelayText } from '@kelmot/core/run/cureText';
import { View } from 'react-native';
import { FigureText } from '@/shared/ui/FigureText';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';

/** By how much the cure has moved against its plan and why, how far it has come, and how long it still takes. */
export function CureProgress({ run }: { run: CureForecast }) {
  const now = useNow();
  const zone = useZone();
  const { tell } = useWords();
  const { share, takes } = cureFigures(run, now);
  const isLater = run.stalled || run.minutes > run.plannedMin + 1;
  return (
    <View className="gap-1 border-b border-rule bg-sheet px-4 py-3" testID="cure-learnt">
      <View role="status">
        <Txt as="row" className={run.stalled ? 'text-oxideInk' : isLater ? 'text-ochreInk' : ''}>
          {tell(cureDelayText(run))}
        </Txt>
        <Txt as="inline">{tell(cureReason(run, now, zone))}</Txt>
      </View>
      <View className="flex-row flex-wrap gap-x-8">
        <FigureText figure={share} label={t('cure completed so far')} as="reading" />
        {run.stalled ? null : <FigureText figure={takes} label={t('from its mix')} as="reading" />}
      </View>
    </View>
  );
}
