import { router, type Href } from 'expo-router';
import { useEffect } from 'react';

/**
 * Opens the address of a notification that was touched. The service worker sends the address; the page does not reload.
 */
export function useNotificationClicks(): void {
  useEffect(() => {
    const worker = typeof navigator === 'undefined' ? undefined : navigator.serviceWorker;
    const go = ({ data }: MessageEvent<{ goTo?: string } | null>) => {
      if (data?.goTo) router.navigate(data.goTo as Href);
    };
    worker?.addEventListener('message', go);
    return () => worker?.removeEventListener('message', go);
  }, []);
}
