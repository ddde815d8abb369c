export { KnowHowScreen } from './KnowHowScreen';
