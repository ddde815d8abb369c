export { InstrumentBox, OpenInstrument } from './InstrumentBox';
export { LiveFigure, LiveState } from './Live';
export { Misbehaving } from './Misbehaving';
export { OnScale } from './OnScale';
export { ReadFrom } from './ReadFrom';
export { useDriver } from './useDriver';
