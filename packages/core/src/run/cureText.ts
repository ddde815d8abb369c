import { t } from '../text/text';
import { line } from '../calc/calc';
import type { MilestoneForecast } from '../cure/forecastCure';
import { MILESTONE_NAMES, type MilestoneId } from '../materials/milestones';
import { celsius, joined, m, minutes, type Message } from '../message/message';
import { dayClockText } from '../schedule/clock';
import { MINUTE } from '../units/clock';
import type { Zone } from '../units/zone';
import { figureOf, type Figure } from '../work/figure';
import type { CureForecast } from './runPlan';

/** A smaller difference counts as on time, minutes. */
const AS_PLANNED = 1;

/** By how much the awaited milestone is late, in a few words. */
export function cureDelayText({ minutes: learned, plannedMin, stalled }: CureForecast): Message {
  const by = learned - plannedMin;
  if (stalled) return m('It does not cure');
  if (Math.abs(by) < AS_PLANNED) return m('As planned');
  return m(by > 0 ? '{by} late' : '{by} early', {
    by: minutes(Math.abs(by)),
  });
}

/** A cure this many times slower than its card means a wrong mix. */
const OFF_RATIO = 3;

/** Why it moved: the last temperature, the assumed one, the result of a sample. `now` in epoch ms. */
export function cureReason(run: CureForecast, now: number, zone: Zone): Message {
  const { lastC, lastMin, mixedAt, lasts, slow, stalled, progress } = run;
  const temp = lastC === null ? null : celsius(lastC);
  const at = dayClockText(mixedAt + lastMin * MINUTE, now, zone);
  const from =
    temp === null || progress >= 1
      ? null
      : stalled
        ? m('{temp} at {at}: too cold for this card. Heat it.', { temp, at })
        : lasts
          ? m('{temp} at {at}, assumed to continue.', { temp, at })
          : m(
              '{temp} at {at}. After that, this rate or the planned rate counts, whichever is slower.',
              {
                temp,
                at,
              },
            );
  return joined([
    temp !== null && progress >= 1 && m('The cure is complete by its temperatures.'),
    from,
    slow > 1 &&
      m(
        'A sample was soft when it should be hard. The cure takes {slow} times as long as the card says.',
        {
          slow: slow.toFixed(1),
        },
      ),
    slow > OFF_RATIO && m('Heat it and wait. If it stays soft, the ratio was wrong: cut it out.'),
  ]);
}

/** A milestone by the readings, with its working. */
export const momentFigure = (
  id: MilestoneId,
  { minutes: takes, working }: MilestoneForecast,
): Figure =>
  figureOf({
    id: `cure.${id}`,
    label: MILESTONE_NAMES[id],
    value: takes,
    quantity: 'time',
    working: [...working],
  });

/** The share of the cure at a moment, epoch ms, and its duration from mixing, each with its working. */
export function cureFigures(run: CureForecast, now: number): { share: Figure; takes: Figure } {
  const { progress, lastMin, paceMin, mixedAt, working } = run;
  const since = Math.max(0, (now - mixedAt) / MINUTE - lastMin);
  const share = Math.min(1, progress + (paceMin === null ? 0 : since / paceMin)) * 100;
  return {
    share: figureOf({
      id: 'cure.share',
      label: t('Share of the cure'),
      value: share,
      quantity: 'percent',
      working: [
        ...working,
        line({
          symbol: 'Δt',
          label: t('since the last reading'),
          expression: 'now',
          value: since,
          unit: 'min',
        }),
        line({
          symbol: 'a',
          label: t('share now'),
          expression: t('a₀ + a₁ + Δt/p, 1 at the most'),
          value: share,
          unit: '%',
        }),
      ],
    }),
    takes: figureOf({
      id: 'cure.takes',
      label: t('Since mixing'),
      value: run.minutes,
      quantity: 'time',
      working: [...working],
    }),
  };
}
