import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { filmRound } from '../../methods/film';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import { total, type W } from './steps';

/** Calculates the rounds of the repair, and the values that its steps, supplies and figures use. */
export function coverRoundsOf(work: W) {
  const { survey, demand, card } = work;
  const strips = Math.max(
    1,
    total(work, (c) => c.strips),
  );
  const drops = total(work, (c) => c.drops);
  const airtight = survey.tyre.airtight;
  const conditioner = filmRound(work, {
    id: 'conditioner',
    purpose: 'conditioner',
    title: m('Conditioner'),
    areaMm2: demand.prepMm2,
    touch: 'condition',
    need: { under: card },
  });
  const closer = airtight ? null : work.second({ purpose: 'close', wetted: false, under: card });
  const close = closer
    ? work.round(
        mainSpec(work, {
          id: 'close',
          purpose: 'close',
          title: m('Closing the crack'),
          ...closer,
          netMl: work.netMl * work.trade.tyre.closeShare,
          areaMm2: 0,
          touches: [mixTouch(closer.card), { name: 'close', placing: 1 }],
          needed: null,
        }),
      )
    : null;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'cover',
      title: m('Cover'),
      netMl: (drops * work.trade.tyre.dropMl) / (1 + card.wastePct / 100),
      areaMm2: 0,
      pieces: total(work, (c) => c.sheets),
      mostMl: (drops * work.trade.tyre.dropMl) / strips,
      working: () => [
        line({ symbol: 'd', label: t('drops'), expression: t('over all strips'), value: drops }),
      ],
      touches: [
        mixTouch(card),
        { name: 'drops', spread: drops * work.trade.tyre.dropMin },
        { name: 'roll', spread: strips * work.trade.tyre.rollMin },
      ],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return {
    work,
    strips,
    close,
    conditioner,
    main,
    drops,
    ready,
    airtight,
    rounds: [conditioner, ...(close ? [close] : []), main],
  };
}
export type CoverRounds = ReturnType<typeof coverRoundsOf>;
