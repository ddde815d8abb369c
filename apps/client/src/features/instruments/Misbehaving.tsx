import { t } from '@kelmot/core';
import { instrument, INSTRUMENTS } from '@kelmot/core/instruments/instrument';
import { MISBEHAVIOURS, type Misbehaviour } from '@kelmot/demo/instruments/scene';
import { View } from 'react-native';
import { useSiteQuery } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { misbehaviourChosen } from '@/store/settings';
import { Choices, FieldFrame } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';

const WELL = 'well';
const NAMES: Record<Misbehaviour, string> = {
  drift: t('Drifts'),
  'drop-out': t('Loses connection'),
  stuck: t('Sticks'),
  'wrong-unit': t('Wrong unit'),
};
const OPTIONS = [
  { value: WELL, label: t('Well') },
  ...MISBEHAVIOURS.map((how) => ({ value: how, label: NAMES[how] })),
];

/** On a demo plant: sets how each simulated instrument misbehaves. */
export function Misbehaving() {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((s) => s.settings.misbehaves);
  const { data: site } = useSiteQuery();
  if (site?.instruments !== 'simulated') return null;
  return (
    <View className="gap-3" testID="misbehaving">
      <Txt as="rowBold" role="heading">
        {t('Simulated instruments')}
      </Txt>
      <Txt className="text-pencil">
        {t(
          'These instruments can send readings to a hold point. Make one misbehave to see how Kelmot detects it.',
        )}
      </Txt>
      {INSTRUMENTS.map((id) => (
        <FieldFrame key={id} label={instrument(id).name}>
          <Choices
            id={`misbehaves-${id}`}
            label={instrument(id).name}
            options={OPTIONS}
            value={chosen[id] ?? WELL}
            onPick={(how) =>
              dispatch(
                misbehaviourChosen({
                  id,
                  how: MISBEHAVIOURS.find((known) => known === how) ?? null,
                }),
              )
            }
          />
        </FieldFrame>
      ))}
    </View>
  );
}
