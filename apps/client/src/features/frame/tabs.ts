/** The four places outside a repair. */
export const TABS = [
  { id: 'bench', label: 'Bench', href: '/' },
  { id: 'repairs', label: 'Repairs', href: '/repairs' },
  { id: 'store', label: 'Store', href: '/store' },
  { id: 'know-how', label: 'Know-how', href: '/know-how' },
] as const;
export type TabId = (typeof TABS)[number]['id'];
