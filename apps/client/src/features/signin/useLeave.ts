import { useAppDispatch } from '@/store/hooks';
import { left } from '@/store/settings';

/**
 * Signs whoever is here out of this device, with or without signal: what waits stays, and is sent as theirs alone. The
 * server is told before anybody is let in again.
 */
export function useLeave(): () => void {
  const dispatch = useAppDispatch();
  return () => void dispatch(left(true));
}
