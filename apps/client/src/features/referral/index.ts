export { ReferralScreen } from './ReferralScreen';
