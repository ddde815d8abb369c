import { t } from '@kelmot/core';
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
import { FieldFrame, TextBox, FieldError } from '@/shared/ui/fields';
import { goToFirstWrong } from '@/shared/ui/keyboard';
import { Txt } from '@/shared/ui/Txt';

function CodeUse({ isKnown }: { isKnown: boolean }) {
  return (
    <Txt className="text-pencil">
      {isKnown
        ? t(
            'You have a code on this device. After a shift change, tap your name and type the code.',
          )
        : t('If several people share this device, set a short code to sign in quickly.')}
    </Txt>
  );
}

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
  const unnamed = error && !wrong.code && !wrong.password;
  const send = async () => {
    if ((await set({ code, password })).error) return goToFirstWrong();
    setCode('');
    setPassword('');
    setOpen(false);
  };
  return (
    <>
      <CodeUse isKnown={isKnown} />
      <Disclosure
        label={isKnown ? t('Change your code here') : t('Set your code for this device')}
        open={open}
        onToggle={() => setOpen(!open)}
      >
        <View className="gap-4 py-2">
          <FieldFrame
            label={t('Code')}
            why={t('{least} to {most} digits, only for this device.', {
              least: CODE_DIGITS.least,
              most: CODE_DIGITS.most,
            })}
            error={wrong.code}
          >
            <TextBox
              id="own-code"
              label={t('Code')}
              text={code}
              onText={setCode}
              most={CODE_DIGITS.most}
              secret
              digits
            />
          </FieldFrame>
          <FieldFrame
            label={t('Your password')}
            why={t('Proves that it is you.')}
            error={wrong.password}
          >
            <TextBox
              id="code-password"
              label={t('Your password')}
              text={password}
              onText={setPassword}
              secret
              onSubmit={() => void send()}
            />
          </FieldFrame>
          <FieldError error={unnamed ? errorText(error) : null} />
          <SecondaryButton
            label={t('Set the code')}
            testID="set-code"
            disabled={isLoading || code === '' || password === ''}
            onPress={() => void send()}
          />
          {isKnown ? (
            <SecondaryButton
              label={t('Delete my code on this device')}
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
