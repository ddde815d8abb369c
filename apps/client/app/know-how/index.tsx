export { KnowHowScreen as default } from '@/features/knowhow/KnowHowScreen';
