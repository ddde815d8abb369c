import { t } from '@kelmot/core';

/** The four places outside a repair. */
export const TABS = [
  { id: 'bench', label: t('Bench'), href: '/' },
  { id: 'repairs', label: t('Repairs'), href: '/repairs' },
  { id: 'store', label: t('Store'), href: '/store' },
  { id: 'know-how', label: t('Know-how'), href: '/know-how' },
] as const;
export type TabId = (typeof TABS)[number]['id'];
