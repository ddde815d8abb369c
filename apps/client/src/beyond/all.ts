/**
 * All that the bench does not need to stand, fetched as one, once. Were each screen fetched by itself, what they share
 * would come with the bench.
 */
export { startedClocks, waitCalls } from '@kelmot/contract';
export { KnowHowScreen } from '@/features/knowhow/KnowHowScreen';
export { PapersScreen } from '@/features/papers/PapersScreen';
export { ReferralScreen } from '@/features/referral/ReferralScreen';
export { planning } from '@/features/repair/planning';
export { RepairAside } from '@/features/repair/RepairAside';
export { RepairScreen } from '@/features/repair/RepairScreen';
export { RepairsScreen } from '@/features/repairs/RepairsScreen';
export { SettingsScreen } from '@/features/settings/SettingsScreen';
export { StoreScreen } from '@/features/store/StoreScreen';
export { SurveyScreen } from '@/features/survey/SurveyScreen';
export { HowFarScreen } from '@/features/tools/HowFarScreen';
export { ToolScreen } from '@/features/tools/ToolScreen';
export { wholeSchemas } from '@/store/wholeSchemas';
