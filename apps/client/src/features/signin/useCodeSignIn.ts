import type { CodeSignIn } from '@kelmot/contract';
import { router } from 'expo-router';
import { forgetWho } from '@/store/answers';
import { api, useSignInByCodeMutation } from '@/store/api';
import { useAppDispatch } from '@/store/hooks';
import { takenInHand } from '@/store/settings';

/**
 * Signs in by a code, in place of the present person: nothing of the previous person's answers is shown to the next.
 */
export function useCodeSignIn() {
  const dispatch = useAppDispatch();
  const [send, { error, isLoading }] = useSignInByCodeMutation();
  const comeIn = async (who: CodeSignIn): Promise<void> => {
    if ((await send(who)).error) return;
    await forgetWho();
    dispatch(takenInHand(null));
    router.replace('/');
    dispatch(api.util.resetApiState());
  };
  return { comeIn, error, isLoading };
}
