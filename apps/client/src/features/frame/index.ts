export { Frame } from './Frame';
export { KeptReady } from './KeptReady';
export { SendState } from './SendState';
export { SkipLink } from './SkipLink';
export { StationFrame } from './StationFrame';
export { useArrival } from './useArrival';
