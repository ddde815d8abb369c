import { t } from '@kelmot/core';
import { LEAST_PASSWORD } from '@kelmot/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { errorText, useChangePasswordMutation, fieldErrorOf } from '@/store/api';
import { Disclosure, SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox, FieldError } from '@/shared/ui/fields';
import { goToFirstWrong } from '@/shared/ui/keyboard';
import { Txt } from '@/shared/ui/Txt';

/** Changes a person's own password. Ends all their sessions except this one. */
export function OwnPassword() {
  const [open, setOpen] = useState(false);
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [change, { error, isLoading, isSuccess }] = useChangePasswordMutation();
  const wrong = { current: fieldErrorOf(error, 'current'), next: fieldErrorOf(error, 'next') };
  const send = async () => {
    const answer = await change({ current, next });
    if (answer.error) return goToFirstWrong();
    setCurrent('');
    setNext('');
  };
  return (
    <Disclosure label={t('Change your password')} open={open} onToggle={() => setOpen(!open)}>
      <View className="gap-4 py-2">
        <FieldFrame label={t('Password now')} error={wrong.current}>
          <TextBox
            id="password-now"
            label={t('Password now')}
            text={current}
            onText={setCurrent}
            secret
          />
        </FieldFrame>
        <FieldFrame
          label={t('New password')}
          why={t('{lEAST_PASSWORD} characters or more; several words are good.', {
            lEAST_PASSWORD: LEAST_PASSWORD,
          })}
          error={wrong.next}
        >
          <TextBox
            id="password-new"
            label={t('New password')}
            text={next}
            onText={setNext}
            secret
          />
        </FieldFrame>
        <FieldError error={error && !wrong.current && !wrong.next ? errorText(error) : null} />
        {isSuccess ? (
          <Txt className="text-mossInk" role="status" testID="password-changed">
            {t('Password changed. Sign in again on your other devices.')}
          </Txt>
        ) : null}
        <SecondaryButton
          label={t('Change password and sign out elsewhere')}
          testID="change-password"
          disabled={isLoading || current === '' || next === ''}
          onPress={() => void send()}
        />
      </View>
    </Disclosure>
  );
}
