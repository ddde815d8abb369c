import { MILESTONE_NAMES, POOR_PCT, formatQuantity, type Plan, t } from '@kelmot/core';
import { View } from 'react-native';
import { useWords } from '@/shared/ui/useWords';
import { FigureText } from '@/shared/ui/FigureText';
import { Txt } from '@/shared/ui/Txt';

/**
 * What a heater would change; before the job begins also the chance of being ready in time, and what to change where it
 * is poor. Once begun, the job's own clock shows it.
 */
export function Outlook({ plan, isBegun }: { plan: Plan; isBegun: boolean }) {
  const { units, tell } = useWords();
  const chance = plan.figures.readiness;
  if (isBegun && plan.heat.length === 0) return null;
  const poor = chance !== undefined && chance.value < POOR_PCT;
  return (
    <View className="gap-2 border-b border-ink px-4 py-3" testID="outlook">
      {isBegun ? null : chance ? (
        <FigureText
          figure={chance}
          label={t('chance of being ready in time, as planned')}
          as="reading"
        />
      ) : (
        <Txt className="text-oxideInk">{t('The stop is too short for this cure.')}</Txt>
      )}
      {!isBegun && (poor || !chance)
        ? plan.raise.map((line, i) => <Txt key={i}>{tell(line)}</Txt>)
        : null}
      {plan.heat.length > 0 ? (
        <View className="gap-1">
          <Txt className="text-pencil">
            {t('If heated, {milestone} comes earlier', { milestone: MILESTONE_NAMES[plan.needed] })}
          </Txt>
          <View className="flex-row flex-wrap gap-x-6 gap-y-1">
            {plan.heat.map((h) => (
              <FigureText
                key={h.tempC}
                figure={plan.figures[`heat.${h.tempC}`]}
                label={t('at {temp}', { temp: formatQuantity(h.tempC, 'temperature', units) })}
                as="row"
              />
            ))}
          </View>
        </View>
      ) : null}
    </View>
  );
}
