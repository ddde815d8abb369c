import { t } from '@kelmot/core';
import { isAtWork, type RepairRow } from '@kelmot/contract';
import { router } from 'expo-router';
import type { Layout } from '@/shared/ui/layout';

/** The address of a repair: on a phone its run sheet, on a wide screen its station. */
export const pathOf = (row: RepairRow, layout: Layout): string =>
  `/repair/${row.id}/${layout === 'phone' && isAtWork(row) ? 'run' : row.station}`;

export const openRepair = (row: RepairRow, layout: Layout): void =>
  router.navigate(pathOf(row, layout));

/** Where a repair that cannot be shown leads: to the others. */
export const TO_ALL = { label: t('All repairs'), onPress: () => router.navigate('/repairs') };
