export { RepairsScreen as default } from '@/features/repairs/RepairsScreen';
