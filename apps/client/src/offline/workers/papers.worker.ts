import { calendarOf, jobCard, pickingList, recordList, recordPaper } from '@kelmot/papers';
import { expose } from 'comlink';

/** Makes papers in a worker; the libraries load when a paper is made. */
const worker = { calendarOf, jobCard, pickingList, recordList, recordPaper };
export type PapersWorker = typeof worker;

expose(worker);
