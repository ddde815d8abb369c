import { lazily } from '@/ui/lazily';

export default lazily(async () => (await import('@/features/repairs/RepairsScreen')).RepairsScreen);
