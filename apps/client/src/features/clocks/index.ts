export { CallBanner } from './CallBanner';
export { Clocks } from './Clocks';
export { OtherClocks } from './OtherClocks';
export { askToNotify } from './alarm';
export { useRunning } from './running';
