import { isAtWork, type RepairRow } from '@kelmot/contract';
import { router } from 'expo-router';
import type { Layout } from '@/shared/ui/layout';

/** Where a repair opens: on a phone beside the work, one step at a time; on a wide screen at its station. */
export const pathOf = (row: RepairRow, layout: Layout): string =>
  `/repair/${row.id}/${layout === 'phone' && isAtWork(row) ? 'run' : row.station}`;

export const openRepair = (row: RepairRow, layout: Layout): void =>
  router.navigate(pathOf(row, layout));
