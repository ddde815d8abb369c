import { Slot } from 'expo-router';
import { useEffect, useState, type ReactNode } from 'react';
import { Provider } from 'react-redux';
import { SkipLink, useScreenFocus, Prefetch } from '@/features/frame';
import { Clocks } from '@/features/clocks';
import { SignOutPending, SignInAgain, SignInScreen } from '@/features/signin';
import { listenToOtherTabs, restore } from '@/store/persister';
import { installShell } from '@/store/shell';
import { preloadBench } from '@/store/preloadBench';
import { errorText, useMeQuery, type ApiError } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { setLaterChunk } from '@/store/laterChunk';
import { usePerson } from '@/store/usePerson';
import { makeStore } from '@/store/store';
import { listenToKeys } from '@/shared/ui/keyboard';
import { guardPresses } from '@/shared/ui/pressGuard';
import { Failed, Skeleton } from '@/shared/ui/states';
import { ThemeProvider } from '@/shared/ui/theme';
import '../src/global.css';

setLaterChunk(() => import('@/screens'));
const store = makeStore();
listenToOtherTabs(store.dispatch);
// Reads storage and asks the server while the rest of the application loads.
const kept = restore(store.dispatch).catch(() => undefined);
void kept.then(() => preloadBench(store));
if (typeof document !== 'undefined') {
  guardPresses(document);
  listenToKeys(document);
}
void installShell(store.dispatch).catch(() => undefined);

/**
 * Shows the application to a signed-in person and the sign-in screen to others. After a session ends, the person signs
 * in again on the same screen.
 */
function Gate({ children }: { children: ReactNode }) {
  const leaving = useAppSelector((s) => s.settings.leaving);
  const person = usePerson();
  const asksWho = useAppSelector((s) => s.settings.inHand && s.view.confirming && s.view.signal);
  // Only of this session: data from before a sign-out is not used.
  const { currentData: me, error, isLoading, refetch } = useMeQuery(undefined, { skip: leaving });
  const failure = error as ApiError | undefined;
  const isOut = failure?.kind === 'problem' && failure.problem.status === 401;
  useScreenFocus(leaving ? undefined : me?.id);
  if (leaving) return <SignOutPending />;
  if (me)
    return (
      <Clocks>
        <SkipLink />
        {children}
        {isOut || asksWho ? <SignInAgain me={person ?? me} ended={isOut} /> : <Prefetch />}
      </Clocks>
    );
  if (isLoading) return <Skeleton />;
  if (isOut || !error) return <SignInScreen />;
  return <Failed say={errorText(error)} retry={() => void refetch()} />;
}

export default function Root() {
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    void kept.then(() => setRestored(true));
  }, []);
  return (
    <Provider store={store}>
      <ThemeProvider>
        {restored ? (
          <Gate>
            <Slot />
          </Gate>
        ) : (
          <Skeleton />
        )}
      </ThemeProvider>
    </Provider>
  );
}
