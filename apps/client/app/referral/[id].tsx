export { ReferralScreen as default } from '@/features/referral/ReferralScreen';
