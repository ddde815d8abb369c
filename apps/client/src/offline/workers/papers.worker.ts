import { calendarOf, jobCard, pickingList, recordList, recordPaper } from '@kelmot/papers';
import { expose } from 'comlink';

/** Papers are set off the screen's thread, and what sets them is fetched when one is made. */
const worker = { calendarOf, jobCard, pickingList, recordList, recordPaper };
export type PapersWorker = typeof worker;

expose(worker);
