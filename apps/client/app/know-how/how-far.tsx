export { HowFarScreen as default } from '@/features/tools/HowFarScreen';
