import { t } from '../text/text';
import { MINUTE } from '../units/clock';
import { shownIn, type Zone } from '../units/zone';

const DAYS = [t('Sun'), t('Mon'), t('Tue'), t('Wed'), t('Thu'), t('Fri'), t('Sat')];
const two = (n: number) => String(n).padStart(2, '0');

/** A moment as 24-hour clock time in a zone, "13:58". */
export function clockText(at: number, zone: Zone): string {
  const d = shownIn(at, zone);
  return `${two(d.getUTCHours())}:${two(d.getUTCMinutes())}`;
}

/** The same with the weekday if it is another day than `now`: "06:00 Fri"; beyond six days with the date. */
export function dayClockText(at: number, now: number, zone: Zone): string {
  const d = shownIn(at, zone);
  const today = shownIn(now, zone);
  const clock = clockText(at, zone);
  if (d.toISOString().slice(0, 10) === today.toISOString().slice(0, 10)) return clock;
  if (Math.abs(at - now) < 6 * 1440 * MINUTE) return `${clock} ${DAYS[d.getUTCDay()]}`;
  return `${clock} ${d.getUTCDate()}.${d.getUTCMonth() + 1}.`;
}

/** A date, "14 Mar 2027". */
export function dateText(at: number, zone: Zone): string {
  const d = shownIn(at, zone);
  const month = [
    t('Jan'),
    t('Feb'),
    t('Mar'),
    t('Apr'),
    t('May'),
    t('Jun'),
    t('Jul'),
    t('Aug'),
    t('Sep'),
    t('Oct'),
    t('Nov'),
    t('Dec'),
  ][d.getUTCMonth()];
  return `${d.getUTCDate()} ${month} ${d.getUTCFullYear()}`;
}

export interface Countdown {
  /** "16:12" while ticking under one hour, otherwise parts such as 2 h 38 min. */
  parts: { figure: string; unit: string }[];
  ticking: boolean;
  over: boolean;
}

/** The countdown from now to a moment, both epoch ms; counts up after its end, with `over`. */
export function countdown(to: number, now: number): Countdown {
  const over = now > to;
  const seconds = Math.floor(Math.abs(to - now) / 1000);
  if (seconds < 3600) {
    const figure = `${two(Math.floor(seconds / 60))}:${two(seconds % 60)}`;
    return { parts: [{ figure: over ? `−${figure}` : figure, unit: '' }], ticking: true, over };
  }
  const minutes = Math.floor(seconds / 60);
  const days = Math.floor(minutes / 1440);
  const hours = Math.floor(minutes / 60) - (days >= 2 ? days * 24 : 0);
  const sign = over ? '−' : '';
  const parts =
    days >= 2
      ? [
          { figure: `${sign}${days}`, unit: 'd' },
          { figure: String(hours), unit: 'h' },
        ]
      : [
          { figure: `${sign}${hours}`, unit: 'h' },
          { figure: two(minutes % 60), unit: 'min' },
        ];
  return { parts, ticking: false, over };
}

/** The same for speech or a line of text: "28:35 left", "2 h 05 min over". */
export function countdownText({ parts, over }: Countdown): string {
  const words = parts.map(({ figure, unit }) => (unit ? `${figure} ${unit}` : figure));
  return `${words.join(' ')} ${over ? 'over' : 'left'}`;
}
