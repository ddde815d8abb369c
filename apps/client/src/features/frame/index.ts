export { Frame } from './Frame';
export { Prefetch } from './Prefetch';
export { OutboxState } from './OutboxState';
export { SkipLink } from './SkipLink';
export { StationFrame } from './StationFrame';
export { useScreenFocus } from './useScreenFocus';
