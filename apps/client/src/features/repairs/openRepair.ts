import type { RepairRow } from '@kelmot/contract';
import { STATIONS } from '@kelmot/core';
import { router } from 'expo-router';
import type { Layout } from '@/ui/layout';

/** Where a repair opens: on a phone beside the work, one step at a time; on a wide screen at its station. */
export const pathOf = ({ id, station, status, gist }: RepairRow, layout: Layout): string => {
  const atWork = STATIONS.indexOf(station) >= STATIONS.indexOf('prep');
  const run = layout === 'phone' && atWork && status === 'open' && gist !== null;
  return `/repair/${id}/${run ? 'run' : station}`;
};

export const openRepair = (row: RepairRow, layout: Layout): void =>
  router.navigate(pathOf(row, layout));
