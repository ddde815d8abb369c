import { dayClockText, MINUTE, type Plan, t } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { LinkButton } from '@/shared/ui/Button';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';
import { Cautions } from './Cautions';
import { KeyFigures } from './KeyFigures';
import { StepList } from './Steps';
import type { StationProps } from '@/shared/repair/stationProps';

/** When the forecast allows mixing, outdoors. */
function Windows({ plan }: { plan: Plan }) {
  const zone = useZone();
  const now = useNow(MINUTE);
  const clock = (iso: string) => dayClockText(Date.parse(iso), now, zone);
  if (!plan.windows) return null;
  const ahead = plan.windows.filter((w) => Date.parse(w.latestStart) > now);
  return (
    <View className="border-b border-rule px-4 py-3" role="note" testID="windows">
      <Txt as="inline">{t('Forecast allows mixing')}</Txt>
      {ahead.length === 0 ? (
        <Txt className="text-oxideInk">
          {t('No suitable hour in the forecast. Shelter and heat the place, or wait.')}
        </Txt>
      ) : null}
      {ahead.slice(0, 3).map((w) => (
        <Txt key={w.from}>
          {t('from {from}, begun by {latestStart}; dry until {to}', {
            from: clock(w.from),
            latestStart: clock(w.latestStart),
            to: clock(w.to),
          })}
        </Txt>
      ))}
    </View>
  );
}

/** Prep: the main figures, the cautions, the numbered steps with their holds. */
export function Prep(props: StationProps) {
  const { plan, view } = props;
  const { say } = useWords();
  return (
    <View>
      <KeyFigures plan={plan} station="prep" />
      {plan.conditions.length > 0 ? (
        <View className="border-b border-rule px-4 py-3" role="note">
          <Txt as="inline" className="text-ochreInk">
            {t('{code} fits if {conditions}.', {
              code: plan.card.code,
              conditions: plan.conditions.map(say).join('; '),
            })}
          </Txt>
        </View>
      ) : null}
      <View className="border-b border-rule px-4">
        <LinkButton
          label={t('The whole job: costs, list, papers to print')}
          testID="to-papers"
          onPress={() => router.navigate(`/papers/${view.id}`)}
        />
      </View>
      <Windows plan={plan} />
      <Cautions plan={plan} />
      <StepList station="prep" {...props} />
    </View>
  );
}
