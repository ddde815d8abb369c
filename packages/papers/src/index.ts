export * from './calendar';
export * from './pickingList';
export * from './recordList';
export * from './times';
export * from './sectionBox';
export { jobCard, type JobCardRequest, type PaperSize } from './pdf/jobCard';
export { recordPaper, type RecordRequest } from './pdf/record';
export type { Fonts } from './pdf/sheet';
