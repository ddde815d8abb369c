export * from './calendar';
export * from './pickingList';
export * from './recordList';
export * from './times';
export { jobCard, SECTION_BOX, type JobCardRequest, type PaperSize } from './pdf/jobCard';
export { recordPaper, type RecordRequest } from './pdf/record';
export type { Fonts } from './pdf/sheet';
