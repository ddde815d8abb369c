import { siteSettings } from '@kelmot/demo';
import { dayClockText, MINUTE } from '@kelmot/core';
import { setAhead, type Screen } from './browser';

/** The farthest moment that a screen names by day and hour, minutes. */
const FARTHEST_MIN = 30 * 1440;

/** On a busy machine a moment may pass before it is read, minutes. */
const JUST_MIN = 3;

/**
 * The clock of one walk, shared by its devices and by the server's work for them. It begins with the tests' clock, runs
 * at the same speed, and is moved forward where somebody would wait.
 */
export class Days {
  private aheadMs = 0;
  private readonly screens: Screen[] = [];

  now(): number {
    return Date.now() + this.aheadMs;
  }

  /** Gives a device this clock, from its next load on. */
  async take(screen: Screen): Promise<void> {
    this.screens.push(screen);
    await this.tell(screen);
  }

  private async tell(screen: Screen): Promise<void> {
    await setAhead(screen.page, this.aheadMs);
    const cookie = { name: 'ahead', value: String(this.aheadMs), domain: '127.0.0.1', path: '/' };
    await screen.page.browserContext().setCookie(cookie);
  }

  /** Moves the clock forward: every device wakes up at the new time. */
  async pass(minutes: number): Promise<void> {
    this.aheadMs += minutes * MINUTE;
    for (const screen of this.screens) {
      await this.tell(screen);
      await screen.page.evaluate(`turnClock(${this.aheadMs})`);
    }
  }

  /**
   * Minutes to a moment that a screen names, as "06:00 Fri"; negative if it passed while being read. Throws beyond a
   * month.
   */
  minutesTo(named: string): number {
    const now = this.now();
    for (let min = -JUST_MIN; min < FARTHEST_MIN; min++)
      if (dayClockText(now + min * MINUTE, now, siteSettings.zone) === named) return min;
    throw new Error(`no moment is “${named}”`);
  }

  /** Waits until a moment that a screen names. */
  async until(named: string): Promise<void> {
    // Until the end of its minute: what is due within it is due then.
    await this.pass(Math.max(0, this.minutesTo(named) + 1));
  }
}
