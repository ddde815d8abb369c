import { useAppDispatch } from '@/store/hooks';
import { left } from '@/store/settings';

/**
 * Signs the present person out of this device, with or without signal. Their queued commands stay and are sent as
 * theirs. The server is told before anybody signs in again.
 */
export function useSignOut(): () => void {
  const dispatch = useAppDispatch();
  return () => void dispatch(left(true));
}
