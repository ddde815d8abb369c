export { PapersScreen as default } from '@/features/papers/PapersScreen';
