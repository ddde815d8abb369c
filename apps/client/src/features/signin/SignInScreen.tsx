import { t } from '@kelmot/core';
import type { DemoUser } from '@kelmot/contract';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { useDemoUsersQuery, useSignInMutation } from '@/store/api';
import { PrimaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { Sign } from '@/shared/ui/marks';
import { Failed } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';
import { People } from './People';
import { signInErrorText } from './signInErrorText';

const roleOf = ({ role, approves }: DemoUser): string =>
  approves.length > 0 ? t('{role}, approves', { role }) : role;

/** Sign-in by name and password; on a demo server its people can be selected. */
export function SignInScreen() {
  const [username, setUsername] = useState('');
  const [password, setPassword] = useState('');
  const [signIn, { error, isLoading }] = useSignInMutation();
  const { data: demo = [] } = useDemoUsersQuery();
  return (
    <ScrollView className="flex-1 bg-paper" role="main">
      <View className="w-full max-w-[440px] gap-6 self-center p-4 pt-12">
        <View className="flex-row items-center gap-3">
          <Sign size={40} />
          <View>
            <Txt as="screen" role="heading">
              {t('Kelmot')}
            </Txt>
            <Txt as="label">{t('Cold repairs, from survey to sign-off')}</Txt>
          </View>
        </View>
        {error ? <Failed say={`${signInErrorText(error)}.`} /> : null}
        <People />
        {demo.length > 0 ? (
          <View className="gap-2">
            <Txt as="label">{t('Demo plant, made-up people. Sign in as')}</Txt>
            {demo.map((u) => (
              <Pressable
                key={u.username}
                role="button"
                testID={`demo-${u.username}`}
                disabled={isLoading}
                onPress={() => void signIn({ username: u.username, password: u.password })}
                className="min-h-[56px] flex-row items-center justify-between rounded border-[1.5px] border-ink bg-sheet px-4 active:bg-shade"
              >
                <Txt as="row">{u.name}</Txt>
                <Txt as="inline" className="font-label text-pencil">
                  {roleOf(u)}
                </Txt>
              </Pressable>
            ))}
          </View>
        ) : null}
        <View className="gap-4 border-t border-ink pt-5">
          <FieldFrame label={t('User name')}>
            <TextBox id="username" label={t('User name')} text={username} onText={setUsername} />
          </FieldFrame>
          <FieldFrame label={t('Password')}>
            <TextBox
              id="password"
              label={t('Password')}
              text={password}
              onText={setPassword}
              secret
              onSubmit={() => void signIn({ username, password })}
            />
          </FieldFrame>
          <PrimaryButton
            label={t('Sign in')}
            onPress={() => void signIn({ username, password })}
            disabled={isLoading}
            testID="sign-in"
          />
        </View>
      </View>
    </ScrollView>
  );
}
