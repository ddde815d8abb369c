import type { RepairView } from '@kelmot/contract';
import { useEffect } from 'react';
import { shallowEqual } from 'react-redux';
import { api } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';

/**
 * Repairs by their ids, each as this device has it; undefined for a missing one. `ids` must be the same list between
 * changes.
 */
export function useViews(ids: readonly string[]): (RepairView | undefined)[] {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const asked = ids.map((id) => dispatch(api.endpoints.repair.initiate(id)));
    return () => asked.forEach((q) => q.unsubscribe());
  }, [dispatch, ids]);
  return useAppSelector(
    (s) => ids.map((id) => api.endpoints.repair.select(id)(s).data),
    shallowEqual,
  );
}
