import type { Me } from '@kelmot/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHereQuery, useSignInByCodeMutation, useSignInMutation } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { LinkButton, PrimaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { Txt } from '@/ui/Txt';
import { reasonOf } from './reasonOf';
import { useLeave } from './useLeave';

/** What lies behind is there, and cannot be reached now: in both themes. */
const SCRIM = 'rgba(0, 0, 0, 0.45)';

/** Asks for the password on the spot where a session ended in the middle of work: nothing is closed, and what waits goes on. */
export function SignInAgain({ me }: { me: Me }) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState('');
  const { data: people = [] } = useHereQuery();
  const byCode = people.some((p) => p.id === me.id);
  const [signIn, byPassword] = useSignInMutation();
  const [comeIn, withCode] = useSignInByCodeMutation();
  const { error, isLoading } = byCode ? withCode : byPassword;
  const asked = byCode ? 'Code' : 'Password';
  const waiting = useAppSelector((s) => s.outbox.queue.length);
  const leave = useLeave();
  const go = async () => {
    if (!byCode) return void signIn({ username: me.username, password: typed });
    const { error: wrong } = await comeIn({ personId: me.id, code: typed });
    setTyped('');
    if (!wrong) dispatch(api.util.invalidateTags(['Me', 'Repairs', 'Repair', 'Assets']));
  };
  return (
    <View
      role="dialog"
      aria-label="Sign in again"
      aria-modal
      testID="sign-in-again"
      className="absolute inset-0 items-center justify-end p-3"
      style={{ backgroundColor: SCRIM }}
    >
      <View className="w-full max-w-[440px] gap-4 rounded border-[1.5px] border-ink bg-paper p-4">
        <View className="gap-1">
          <Txt as="screen" role="heading">
            Your session has ended
          </Txt>
          <Txt>
            {me.name}, type your {asked.toLowerCase()} and go on where you are.
            {waiting > 0 ? ` ${waiting} waiting to send are kept.` : ' What you typed is kept.'}
          </Txt>
        </View>
        <FieldFrame label={asked} error={error ? `${reasonOf(error)}.` : undefined}>
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
          label="Go on"
          onPress={() => void go()}
          disabled={isLoading}
          testID="go-on"
        />
        <LinkButton label="Somebody else signs in" onPress={leave} testID="somebody-else" />
      </View>
    </View>
  );
}
