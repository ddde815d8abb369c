import { t } from '@kelmot/core';
import type { Me } from '@kelmot/contract';
import type { UnitSystem } from '@kelmot/core';
import { ScrollView, View } from 'react-native';
import { askToNotify } from '@/features/clocks';
import { Frame } from '@/features/frame';
import { Misbehaving } from '@/features/instruments';
import { People, useSignOut } from '@/features/signin';
import { canListen, stopSpeaking, canSpeak, speak } from '@/features/speech';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import {
  aloudChosen,
  listensChosen,
  loudChosen,
  themeChosen,
  type Settings,
} from '@/store/settings';
import { usePerson } from '@/store/usePerson';
import { SecondaryButton } from '@/shared/ui/Button';
import { CheckBox, Choices, FieldFrame } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { chooseUnits } from './chooseUnits';
import { OwnCode } from './OwnCode';
import { OwnPassword } from './OwnPassword';

const THEMES = [
  { value: 'auto', label: t('Same as device') },
  { value: 'light', label: t('Day') },
  { value: 'night', label: t('Night shift') },
];
const UNITS = [
  { value: 'metric', label: t('Metric') },
  { value: 'us', label: t('US') },
];

/** Settings: people on this device, units, theme, calls, and signing out. */
export function SettingsScreen() {
  const dispatch = useAppDispatch();
  const settings = useAppSelector((s) => s.settings);
  const waiting = useAppSelector((s) => s.outbox.queue.length);
  const me = usePerson();
  const leave = useSignOut();
  return (
    <Frame tab={null}>
      <ScrollView className="flex-1">
        <View className="border-b border-ink px-4 py-3">
          <Txt as="screen" role="heading">
            {t('Settings')}
          </Txt>
        </View>
        <View className="gap-5 p-4">
          <WhoWorksHere me={me} settings={settings} />
          <FieldFrame label={t('Units')} why={t('You can type another unit in any field.')}>
            <Choices
              id="units"
              label={t('Units')}
              options={UNITS}
              value={settings.units}
              onPick={(v) => dispatch(chooseUnits(v as UnitSystem))}
            />
          </FieldFrame>
          <FieldFrame label={t('Theme')}>
            <Choices
              id="theme"
              label={t('Theme')}
              options={THEMES}
              value={settings.theme}
              onPick={(v) => dispatch(themeChosen(v as Settings['theme']))}
            />
          </FieldFrame>
          <CheckBox
            id="loud"
            label={t('Sound and vibration when a clock ends')}
            why={t('The screen always shows it too. Notifications if this device allows them.')}
            on={settings.loud}
            onToggle={() => {
              dispatch(loudChosen(!settings.loud));
              if (!settings.loud) void askToNotify();
            }}
          />
          <CheckBox
            id="aloud"
            label={t('Read steps, clocks and verdicts aloud')}
            why={
              canSpeak()
                ? t('With this device’s voice. The screen always shows them too.')
                : t('This device cannot read aloud.')
            }
            on={settings.aloud}
            onToggle={() => {
              dispatch(aloudChosen(!settings.aloud));
              // Spoken on touch: browsers need a touch before a page may speak.
              if (!settings.aloud) speak(t('Read aloud is on.'), { atOnce: true });
              else stopSpeaking();
            }}
          />
          <CheckBox
            id="listens"
            label={t('Voice control on the run sheet')}
            why={
              canListen()
                ? t('Say “next”, “back”, “repeat”, or a reading such as “17.5”. May need signal.')
                : t('This device cannot recognise speech.')
            }
            on={settings.listens}
            onToggle={() => dispatch(listensChosen(!settings.listens))}
          />
          <Misbehaving />
          <SignedInAs settings={settings} me={me} waiting={waiting} leave={leave} />
        </View>
      </ScrollView>
    </Frame>
  );
}

function WhoWorksHere({ me, settings }: { me: Me | undefined; settings: Settings }) {
  return (
    <View className="gap-2">
      <Txt as="rowBold" role="heading">
        {t('Who works here')}
      </Txt>
      <People here={me?.id} />
      {settings.inHand ? null : <OwnCode />}
    </View>
  );
}

function SignedInAs({
  settings,
  me,
  waiting,
  leave,
}: {
  settings: Settings;
  me: Me | undefined;
  waiting: number;
  leave: () => void;
}) {
  return (
    <View className="gap-2">
      <Txt as="inline">
        {settings.inHand ? t('Not confirmed yet') : t('Signed in')}: {me?.name}, {me?.role}
      </Txt>
      <Txt className="text-pencil">{t('The site’s administrator sets name and role.')}</Txt>
      {settings.inHand ? null : <OwnPassword />}
      {waiting > 0 ? (
        <Txt className="text-ochreInk">
          {t(
            '{waiting, plural, one {# unsent entry stays} other {# unsent entries stay}} on this device until the next sign-in.',
            { waiting },
          )}
        </Txt>
      ) : null}
      <SecondaryButton
        label={t('Sign {name} out', { name: me?.name ?? '' })}
        onPress={leave}
        testID="sign-out"
      />
    </View>
  );
}
