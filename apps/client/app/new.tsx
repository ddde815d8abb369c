import { lazily } from '@/ui/lazily';

export default lazily(async () => (await import('@/features/survey/SurveyScreen')).SurveyScreen);
