export { HandoverScreen } from './HandoverScreen';
export { RunScreen } from './RunScreen';
