export { CalledOut } from './CalledOut';
export { Clocks } from './Clocks';
export { RunElsewhere } from './RunElsewhere';
export { askToNotify } from './alarm';
export { useRunning } from './running';
