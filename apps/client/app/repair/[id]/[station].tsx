export { RepairScreen as default } from '@/features/repair/RepairScreen';
