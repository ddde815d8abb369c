import { Barlow_400Regular, Barlow_600SemiBold } from '@expo-google-fonts/barlow';
import {
  BarlowSemiCondensed_500Medium,
  BarlowSemiCondensed_600SemiBold,
  BarlowSemiCondensed_700Bold,
} from '@expo-google-fonts/barlow-semi-condensed';
import { MartianMono_500Medium, MartianMono_600SemiBold } from '@expo-google-fonts/martian-mono';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import Head from 'expo-router/head';
import { useEffect, useState, type ReactNode } from 'react';
import { Provider } from 'react-redux';
import { SignInScreen } from '@/features/signin/SignInScreen';
import { restore } from '@/offline/keeper';
import { sayError, useMeQuery, type ApiError } from '@/store/api';
import { makeStore } from '@/store/store';
import { Failed, Skeleton } from '@/ui/states';
import { ThemeProvider } from '@/ui/theme';
import '../src/global.css';

const store = makeStore();

/** Shows the application to who is signed in, the sign-in to who is not. */
function Gate({ children }: { children: ReactNode }) {
  const { data: me, error, isLoading, refetch } = useMeQuery();
  const status =
    (error as ApiError | undefined)?.kind === 'problem'
      ? (error as Extract<ApiError, { kind: 'problem' }>).problem.status
      : null;
  if (isLoading) return <Skeleton />;
  if (me && status !== 401) return children;
  if (status === 401 || (!me && !error)) return <SignInScreen />;
  return <Failed say={sayError(error)} retry={() => void refetch()} />;
}

export default function Root() {
  const [fontsReady] = useFonts({
    Barlow_400Regular,
    Barlow_600SemiBold,
    BarlowSemiCondensed_500Medium,
    BarlowSemiCondensed_600SemiBold,
    BarlowSemiCondensed_700Bold,
    MartianMono_500Medium,
    MartianMono_600SemiBold,
  });
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    void restore(store.dispatch).finally(() => setRestored(true));
  }, []);
  return (
    <Provider store={store}>
      <Head>
        <title>Kelmot</title>
      </Head>
      <ThemeProvider>
        {fontsReady && restored ? (
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
