import { t } from '../text/text';
import { DRY_MEDIA, MEDIUM_NAMES } from '../materials/words';
import { celsius, m, minutes, q } from '../message/message';
import { atLeast, atMost, fits, fitsIf, no, type Rule } from './rule';

const temperature = (value: number, limit: number, sense: 'max' | 'min' = 'max') =>
  ({ value, limit, quantity: 'temperature', sense }) as const;

/** Whether it resists heat and medium: for every material of a job, each by what it meets. */
export const mediumRules: Rule[] = [
  {
    id: 'heat',
    name: t('Heat'),
    question: t('Does it stand the temperature, wet or dry?'),
    strength: true,
    judge: ({ card, demand }) => {
      const { mediumC, medium } = demand.service;
      const wet = !DRY_MEDIA.includes(medium);
      const full = wet ? card.service.wetHeatC : card.service.dryHeatC;
      const { postCure } = card;
      const given = { wet: wet ? 'yes' : 'no', got: celsius(mediumC), full: celsius(full) };
      const against = temperature(mediumC, full);
      if (!atLeast(mediumC, card.service.minC))
        return no(
          m('It is used down to {least}; this is {got}.', {
            least: celsius(card.service.minC),
            got: celsius(mediumC),
          }),
          { against: temperature(mediumC, card.service.minC, 'min') },
        );
      if (!atMost(mediumC, full))
        return no(
          () =>
            m(
              '{wet, select, yes {Wet} other {Dry}} heat {got}; the card’s limit is {full}.',
              given,
            ),
          {
            against,
          },
        );
      if (postCure && !atMost(mediumC, postCure.withoutC))
        return fitsIf(
          () =>
            m('post-cured {time} at {temp}', {
              time: minutes(postCure.minutes),
              temp: celsius(postCure.tempC),
            }),
          () =>
            m('Without post-cure it stands {without}.', { without: celsius(postCure.withoutC) }),
          {
            against,
            steps: ['post-cure'],
          },
        );
      return fits(() => m('{wet, select, yes {Wet} other {Dry}} heat to {full}.', given), against);
    },
  },
  {
    id: 'medium',
    name: t('Medium'),
    question: t('Is the medium on the card, at this temperature?'),
    strength: true,
    judge: ({ card, demand }) => {
      const { medium, mediumC, concPct } = demand.service;
      const name = MEDIUM_NAMES[medium].toLowerCase();
      if (medium === 'air') return fits(t('Air only.'));
      const limit = card.service.media.find((x) => x.medium === medium);
      if (!limit) return no(() => m('The card does not stand {name}.', { name }));
      const { maxConcPct } = limit;
      if (maxConcPct !== undefined && concPct === null)
        return fitsIf(
          () => m('it is no stronger than {most}', { most: q(maxConcPct, 'percent') }),
          () => m('Stands {name} to {most}.', { name, most: q(maxConcPct, 'percent') }),
        );
      if (maxConcPct !== undefined && concPct !== null && !atMost(concPct, maxConcPct))
        return no(
          () =>
            m('Stands {name} to {most}; this is {got}.', {
              name,
              most: q(maxConcPct, 'percent'),
              got: q(concPct, 'percent'),
            }),
          {
            against: { value: concPct, limit: maxConcPct, quantity: 'percent', sense: 'max' },
          },
        );
      const against = temperature(mediumC, limit.maxC);
      const given = { name, most: celsius(limit.maxC), got: celsius(mediumC) };
      if (atMost(mediumC, limit.maxC))
        return fits(() => m('Stands {name} to {most}.', given), against);
      return no(() => m('Stands {name} to {most}; this is {got}.', given), {
        against,
      });
    },
  },
  {
    id: 'ph',
    name: 'pH',
    question: t('Is the pH inside the card’s range?'),
    strength: true,
    judge: ({ card, demand }) => {
      const { ph, medium } = demand.service;
      const { min, max } = card.service.ph;
      if (DRY_MEDIA.includes(medium)) return fits(t('No water, no pH.'));
      const sense = ph < min ? ('min' as const) : ('max' as const);
      const limit = ph < min ? min : max;
      const against = { value: ph, limit, quantity: 'ph' as const, sense };
      if (atLeast(ph, min) && atMost(ph, max))
        return fits(() => m('pH {min} to {max}.', { min, max }), against);
      return no(() => m('pH {ph}; the card goes {min} to {max}.', { ph, min, max }), {
        against,
      });
    },
  },
];
