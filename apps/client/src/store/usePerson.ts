import type { Me } from '@kelmot/contract';
import { useMemo } from 'react';
import { useMeQuery } from './api';
import { useAppSelector } from './hooks';

/**
 * Who works here: whoever took the device in hand without signal, else who is signed in; undefined while that is not
 * known. What is asked of the server and kept of its answers goes by the session, what is done by the person.
 */
export function usePerson(): Me | undefined {
  const { data: me } = useMeQuery();
  const inHand = useAppSelector((s) => s.settings.inHand);
  return useMemo(() => (me && inHand ? { ...inHand, username: '' } : me), [me, inHand]);
}
