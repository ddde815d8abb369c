export { NewScreen as default } from '@/features/survey/NewScreen';
