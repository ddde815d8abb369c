export { StoreScreen as default } from '@/features/store/StoreScreen';
