export * from './calendar';
export * from './pickingList';
export * from './times';
export { jobCard, SECTION_BOX, type JobCardRequest, type PaperSize } from './pdf/jobCard';
export type { Fonts } from './pdf/sheet';
