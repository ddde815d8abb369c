import type { Me } from '@kelmot/contract';
import { useMemo } from 'react';
import { useMeQuery } from './api';
import { useAppSelector } from './hooks';

/**
 * The person at work: who took over the device without signal, otherwise who is signed in; undefined while unknown.
 * Requests and kept answers belong to the session; commands belong to this person.
 */
export function usePerson(): Me | undefined {
  const { data: me } = useMeQuery();
  const inHand = useAppSelector((s) => s.settings.inHand);
  return useMemo(() => (me && inHand ? { ...inHand, username: '' } : me), [me, inHand]);
}
