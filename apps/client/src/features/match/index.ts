export { MatchScreen } from './MatchScreen';
