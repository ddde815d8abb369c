import { MINUTE, type Plan, t } from '@kelmot/core';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { momentsOf } from './times';

export interface CalendarRequest {
  plan: Plan;
  /** Keeps the events of one job the same when it is sent again. */
  repairId: string;
  url: string;
  /** Which plan of the repair it is, from 1: a later one takes the place of what was sent before. */
  number: number;
}

/** The job as an iCalendar file (RFC 5545). */
export function calendarOf({ plan, repairId, url, number }: CalendarRequest): string {
  const { tag, name, position } = plan.survey.asset;
  const calendar = ical({
    name: `${tag} ${name}`,
    prodId: { company: t('Kelmot'), product: t('Kelmot'), language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const moment of momentsOf(plan)) {
    calendar.createEvent({
      id: `${repairId}-${moment.id}`,
      sequence: number - 1,
      start: new Date(moment.from),
      end: new Date(Math.max(moment.to, moment.from + MINUTE)),
      stamp: new Date(plan.madeAt),
      summary: `${tag}: ${moment.title}`,
      description: moment.note || null,
      location: position || null,
      url,
    });
  }
  const text = calendar.toString();
  // RFC 5545 section 3.1: every line ends so, the last one too.
  return text.endsWith('\r\n') ? text : `${text}\r\n`;
}
