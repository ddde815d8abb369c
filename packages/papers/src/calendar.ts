import type { Plan } from '@kelmot/core';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { momentsOf } from './times';

/** The job as an iCalendar file (RFC 5545). `repairId` keeps the events of one job the same when it is sent again. */
export function calendarOf(plan: Plan, repairId: string, url: string): string {
  const { tag, name, position } = plan.survey.asset;
  const calendar = ical({
    name: `${tag} ${name}`,
    prodId: { company: 'Kelmot', product: 'Kelmot', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const moment of momentsOf(plan)) {
    calendar.createEvent({
      id: `${repairId}-${moment.id}`,
      start: new Date(moment.from),
      end: new Date(Math.max(moment.to, moment.from + 60_000)),
      stamp: new Date(plan.madeAt),
      summary: `${tag}: ${moment.title}`,
      description: moment.note || null,
      location: position || null,
      url,
    });
  }
  return calendar.toString();
}
