export { InstrumentBox, OpenInstrument } from './InstrumentBox';
export { LiveFigure, LiveState } from './Live';
export { Misbehaving } from './Misbehaving';
export { ScalePour } from './ScalePour';
export { ReadInstrument } from './ReadInstrument';
export { useDriver } from './useDriver';
