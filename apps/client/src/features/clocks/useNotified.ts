import { router, type Href } from 'expo-router';
import { useEffect } from 'react';

/** Goes to what a notification was about that somebody touched: the worker says where, and the page is not loaded anew. */
export function useNotified(): void {
  useEffect(() => {
    const worker = typeof navigator === 'undefined' ? undefined : navigator.serviceWorker;
    const go = ({ data }: MessageEvent<{ goTo?: string } | null>) => {
      if (data?.goTo) router.navigate(data.goTo as Href);
    };
    worker?.addEventListener('message', go);
    return () => worker?.removeEventListener('message', go);
  }, []);
}
