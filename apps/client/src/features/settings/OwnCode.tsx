import { CODE_DIGITS } from '@kelmot/contract';
import { useState } from 'react';
import { View } from 'react-native';
import {
  errorText,
  useDropCodeMutation,
  useHereQuery,
  useMeQuery,
  useSetCodeMutation,
  fieldErrorOf,
} from '@/store/api';
import { Disclosure, SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { goToFirstWrong } from '@/shared/ui/keyboard';
import { Txt } from '@/shared/ui/Txt';

/** A short code for signing in again on this device, when it is shared between shifts. */
export function OwnCode() {
  const [open, setOpen] = useState(false);
  const [code, setCode] = useState('');
  const [password, setPassword] = useState('');
  const { data: me } = useMeQuery();
  const { data: people = [] } = useHereQuery();
  const [set, { error, isLoading }] = useSetCodeMutation();
  const [drop] = useDropCodeMutation();
  const isKnown = people.some((p) => p.id === me?.id);
  const wrong = { code: fieldErrorOf(error, 'code'), password: fieldErrorOf(error, 'password') };
  const send = async () => {
    if ((await set({ code, password })).error) return goToFirstWrong();
    setCode('');
    setPassword('');
    setOpen(false);
  };
  return (
    <>
      <Txt className="text-pencil">
        {isKnown
          ? 'You have a code on this device. After a shift change, tap your name and type the code.'
          : 'If several people share this device, set a short code to sign in quickly.'}
      </Txt>
      <Disclosure
        label={isKnown ? 'Change your code here' : 'Set your code for this device'}
        open={open}
        onToggle={() => setOpen(!open)}
      >
        <View className="gap-4 py-2">
          <FieldFrame
            label="Code"
            why={`${CODE_DIGITS.least} to ${CODE_DIGITS.most} digits, only for this device.`}
            error={wrong.code}
          >
            <TextBox
              id="own-code"
              label="Code"
              text={code}
              onText={setCode}
              most={CODE_DIGITS.most}
              secret
              digits
            />
          </FieldFrame>
          <FieldFrame label="Your password" why="Proves that it is you." error={wrong.password}>
            <TextBox
              id="code-password"
              label="Your password"
              text={password}
              onText={setPassword}
              secret
              onSubmit={() => void send()}
            />
          </FieldFrame>
          {error && !wrong.code && !wrong.password ? (
            <Txt className="text-oxideInk" role="alert">
              {errorText(error)}
            </Txt>
          ) : null}
          <SecondaryButton
            label="Set the code"
            testID="set-code"
            disabled={isLoading || code === '' || password === ''}
            onPress={() => void send()}
          />
          {isKnown ? (
            <SecondaryButton
              label="Delete my code on this device"
              tone="remove"
              testID="drop-code"
              onPress={() => void drop()}
            />
          ) : null}
        </View>
      </Disclosure>
    </>
  );
}
