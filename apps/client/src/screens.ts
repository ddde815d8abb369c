/**
 * All screens except the bench, in one chunk with what they share. With one chunk per screen the bundler would load
 * shared code before the bench: 2.9 MB instead of 1.7 MB (ADR 28). Only routes load this file.
 */
export { KnowHowScreen } from '@/features/knowhow';
export { PapersScreen } from '@/features/papers';
export { ReferralScreen } from '@/features/referral';
export { RepairScreen } from '@/features/repair';
export { RepairsScreen } from '@/features/repairs';
export { SettingsScreen } from '@/features/settings';
export { StoreScreen } from '@/features/store';
export { SurveyScreen } from '@/features/survey';
export { PackCoverageScreen, ToolScreen } from '@/features/tools';
export * from '@/shared/laterChunk/rest';
export { wholeSchemas } from '@/store/wholeSchemas';
