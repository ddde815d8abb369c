export { SettingsScreen } from './SettingsScreen';
