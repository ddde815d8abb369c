export { CureClock } from './CureClock';
export { CureTrace } from './CureTrace';
export { cureAxis } from './cureAxis';
