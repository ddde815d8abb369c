import { t } from '@kelmot/core';
import type { Me } from '@kelmot/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHereQuery, useSignInByCodeMutation, useSignInMutation } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { takenInHand } from '@/store/settings';
import { confirmAsked } from '@/store/view';
import { LinkButton, PrimaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useDialog } from '@/shared/ui/useDialog';
import { signInErrorText } from './signInErrorText';
import { useSignOut } from './useSignOut';

/** Dims the content behind, which cannot be used now; the same in both themes. */
const SCRIM = 'rgba(0, 0, 0, 0.45)';

/** What to type, why, and what becomes of the unsent entries. */
function WhySignIn({
  name,
  byCode,
  ended,
  waiting,
}: {
  name: string;
  byCode: boolean;
  ended: boolean;
  waiting: number;
}) {
  return (
    <Txt>
      {t(
        '{name}, type your {asked, select, code {code} other {password}}{ended, select, yes { and continue here.} other {: your entries are then sent.}} {waiting, plural, =0 {What you typed is kept.} one {# unsent entry is kept.} other {# unsent entries are kept.}}',
        {
          name,
          asked: byCode ? 'code' : 'password',
          ended: ended ? 'yes' : 'no',
          waiting,
        },
      )}
    </Txt>
  );
}

/**
 * Asks for the password on the same screen: after a session `ended` during work, or from a person who took over the
 * device without signal. Nothing closes, and the outbox stays.
 */
export function SignInAgain({ me, ended }: { me: Me; ended: boolean }) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState('');
  const [username, setUsername] = useState(me.username);
  const { data: people = [] } = useHereQuery();
  const byCode = people.some((p) => p.id === me.id);
  const [signIn, byPassword] = useSignInMutation();
  const [comeIn, withCode] = useSignInByCodeMutation();
  const { error, isLoading } = byCode ? withCode : byPassword;
  const names = !byCode && me.username === '';
  const asked = byCode ? t('Code') : t('Password');
  const waiting = useAppSelector(
    (s) => s.outbox.queue.filter(({ by }) => ended || by?.id === me.id).length,
  );
  const leave = useSignOut();
  const later = () => dispatch(confirmAsked(false));
  const dialog = useDialog(true, ended ? undefined : later);
  const go = async () => {
    const { error: wrong } = byCode
      ? await comeIn({ personId: me.id, code: typed })
      : await signIn({ username, password: typed });
    if (byCode) setTyped('');
    if (wrong) return;
    dispatch(api.util.invalidateTags(['Me', 'Repairs', 'Repair', 'Assets']));
    dispatch(takenInHand(null));
    dispatch(confirmAsked(false));
  };
  return (
    <View
      {...dialog}
      role="dialog"
      aria-label={t('Sign in again')}
      aria-modal
      testID="sign-in-again"
      className="absolute inset-0 items-center justify-end p-3"
      style={{ backgroundColor: SCRIM }}
    >
      <View className="w-full max-w-[440px] gap-4 rounded border-[1.5px] border-ink bg-paper p-4">
        <View className="gap-1">
          <Txt as="screen" role="heading">
            {ended ? t('Your session has ended') : t('Signal is back')}
          </Txt>
          <WhySignIn name={me.name} byCode={byCode} ended={ended} waiting={waiting} />
        </View>
        {names ? (
          <FieldFrame label={t('User name')}>
            <TextBox id="name-again" label={t('User name')} text={username} onText={setUsername} />
          </FieldFrame>
        ) : null}
        <FieldFrame label={asked} error={error ? `${signInErrorText(error)}.` : undefined}>
          <TextBox
            id="password-again"
            label={asked}
            text={typed}
            onText={setTyped}
            secret
            focused
            digits={byCode}
            onSubmit={() => void go()}
          />
        </FieldFrame>
        <PrimaryButton
          label={t('Go on')}
          onPress={() => void go()}
          disabled={isLoading}
          testID="go-on"
        />
        {ended ? null : <LinkButton label={t('Not now')} onPress={later} testID="confirm-later" />}
        <LinkButton label={t('Somebody else signs in')} onPress={leave} testID="somebody-else" />
      </View>
    </View>
  );
}
