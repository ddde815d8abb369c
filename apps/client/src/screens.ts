/**
 * All screens but the bench, in one chunk with what they share. Were each screen a chunk of its own, the bundler would load
 * what two of them share before the bench is shown: 2.9 MB in place of 1.7 (ADR 28). Only routes load this file.
 */
export { KnowHowScreen } from '@/features/knowhow';
export { PapersScreen } from '@/features/papers';
export { ReferralScreen } from '@/features/referral';
export { RepairScreen } from '@/features/repair';
export { RepairsScreen } from '@/features/repairs';
export { SettingsScreen } from '@/features/settings';
export { StoreScreen } from '@/features/store';
export { SurveyScreen } from '@/features/survey';
export { HowFarScreen, ToolScreen } from '@/features/tools';
export * from '@/shared/beyond/rest';
export { wholeSchemas } from '@/store/wholeSchemas';
