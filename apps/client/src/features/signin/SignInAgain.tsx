import type { Me } from '@kelmot/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { useSignInMutation } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { LinkButton, PrimaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { Txt } from '@/ui/Txt';
import { reasonOf } from './reasonOf';
import { useLeave } from './useLeave';

/** What lies behind is there, and cannot be reached now: in both themes. */
const SCRIM = 'rgba(0, 0, 0, 0.45)';

/** Asks for the password on the spot where a session ended in the middle of work: nothing is closed, and what waits goes on. */
export function SignInAgain({ me }: { me: Me }) {
  const [password, setPassword] = useState('');
  const [signIn, { error, isLoading }] = useSignInMutation();
  const waiting = useAppSelector((s) => s.outbox.queue.length);
  const leave = useLeave();
  const go = () => void signIn({ username: me.username, password });
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
            {me.name}, type your password and go on where you are.
            {waiting > 0 ? ` ${waiting} waiting to send are kept.` : ' What you typed is kept.'}
          </Txt>
        </View>
        <FieldFrame label="Password" error={error ? `${reasonOf(error)}.` : undefined}>
          <TextBox
            id="password-again"
            label="Password"
            text={password}
            onText={setPassword}
            secret
            onSubmit={go}
          />
        </FieldFrame>
        <PrimaryButton label="Go on" onPress={go} disabled={isLoading} testID="go-on" />
        <LinkButton label="Somebody else signs in" onPress={leave} testID="somebody-else" />
      </View>
    </View>
  );
}
