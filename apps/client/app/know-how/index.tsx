import { lazily } from '@/ui/lazily';

export default lazily(async () => (await import('@/features/knowhow/KnowHowScreen')).KnowHowScreen);
