import { t } from '../../text/text';
import { line } from '../../calc/calc';
import { m } from '../../message/message';
import { mainSpec } from '../../methods/build';
import { filmRound } from '../../methods/film';
import { mixTouch } from '../../methods/mix';
import { notBefore } from '../../methods/step';
import { total, type W } from './steps';

/**
 * Volume of one drop of adhesive, ml; minutes to apply one drop; minutes to press and roll its share of the strip.
 */
const DROP_ML = 0.1;
const DROP_MIN = 0.04;
const ROLL_MIN = 0.8;
/** Volume of the bead that closes a crack, as a fraction of the volume of its vee groove. */
const CLOSE_SHARE = 1;

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
          netMl: work.netMl * CLOSE_SHARE,
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
      netMl: (drops * DROP_ML) / (1 + card.wastePct / 100),
      areaMm2: 0,
      pieces: total(work, (c) => c.sheets),
      mostMl: (drops * DROP_ML) / strips,
      working: () => [
        line({ symbol: 'd', label: t('drops'), expression: t('over all strips'), value: drops }),
      ],
      touches: [
        mixTouch(card),
        { name: 'drops', spread: drops * DROP_MIN },
        { name: 'roll', spread: strips * ROLL_MIN },
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
