import { t } from '@kelmot/core';
import { useCallback, useEffect } from 'react';
import { View } from 'react-native';
import { forgetWho } from '@/store/answers';
import { api, useSignOutMutation, type ApiError } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { left } from '@/store/settings';
import { SecondaryButton } from '@/shared/ui/Button';
import { Skeleton } from '@/shared/ui/states';
import { Txt } from '@/shared/ui/Txt';

/** How often to try the server while there is no signal, ms. */
const AGAIN_MS = 4000;

/** Tells the server that somebody signed out here, as soon as there is signal. Nobody can sign in before that. */
export function SignOutPending() {
  const dispatch = useAppDispatch();
  const signal = useAppSelector((s) => s.view.signal);
  const [signOut] = useSignOutMutation();
  const tell = useCallback(async () => {
    const { error } = await signOut();
    // A session that has already ended counts as signed out.
    if ((error as ApiError | undefined)?.kind === 'offline') return;
    await forgetWho();
    dispatch(api.util.resetApiState());
    dispatch(left(false));
  }, [signOut, dispatch]);
  useEffect(() => {
    void tell();
    const timer = setInterval(() => void tell(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [tell]);
  if (signal) return <Skeleton />;
  return (
    <View className="flex-1 justify-center gap-4 self-center p-4" role="main" testID="leaving">
      <Txt as="screen" role="heading">
        {t('Signed out')}
      </Txt>
      <Txt>{t('No signal. You can sign in when it returns. Unsent entries are kept.')}</Txt>
      <SecondaryButton label={t('Try again')} onPress={() => void tell()} />
    </View>
  );
}
