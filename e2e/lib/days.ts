import { siteSettings } from '@kelmot/demo';
import { dayClockText, MINUTE } from '@kelmot/core';
import { setAhead, type Screen } from './browser';

/** As far as a clock may be away that a screen names by day and hour, minutes. */
const FARTHEST_MIN = 30 * 1440;

/** On a busy machine a moment may have come before it was read, minutes. */
const JUST_MIN = 3;

/**
 * The days of one walk: a clock of its own, shared by its devices and by what the server does for them. It begins with the
 * clock of the tests, runs as fast, and is turned on where somebody would wait.
 */
export class Days {
  private aheadMs = 0;
  private readonly screens: Screen[] = [];

  now(): number {
    return Date.now() + this.aheadMs;
  }

  /** Lets a device live in these days: from its next load on. */
  async take(screen: Screen): Promise<void> {
    this.screens.push(screen);
    await this.tell(screen);
  }

  private async tell(screen: Screen): Promise<void> {
    await setAhead(screen.page, this.aheadMs);
    const cookie = { name: 'ahead', value: String(this.aheadMs), domain: '127.0.0.1', path: '/' };
    await screen.page.browserContext().setCookie(cookie);
  }

  /** Lets so many minutes go by: every device wakes in the new hour. */
  async pass(minutes: number): Promise<void> {
    this.aheadMs += minutes * MINUTE;
    for (const screen of this.screens) {
      await this.tell(screen);
      await screen.page.evaluate(`turnClock(${this.aheadMs})`);
    }
  }

  /** Minutes to a moment that a screen names, as "06:00 Fri"; under 0 where it came as it was read. Throws past a month. */
  minutesTo(named: string): number {
    const now = this.now();
    for (let min = -JUST_MIN; min < FARTHEST_MIN; min++)
      if (dayClockText(now + min * MINUTE, now, siteSettings.zone) === named) return min;
    throw new Error(`no moment is “${named}”`);
  }

  /** Waits until a moment that a screen names. */
  async until(named: string): Promise<void> {
    // Its minute has to be over: what is due within it is due by then.
    await this.pass(Math.max(0, this.minutesTo(named) + 1));
  }
}
