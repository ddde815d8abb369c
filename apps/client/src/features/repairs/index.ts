export { RepairsScreen } from './RepairsScreen';
