import { MEDIUM_NAMES, WEAR_NAMES } from '../materials/words';
import { say } from '../units/format';
import { fits, fitsIf, no, type Rule } from './rule';

const celsius = (x: number) => say(x, 'temperature');
const WORDS = ['none', 'poor', 'fair', 'good', 'very good'];

/** Whether it stands what it must: heat, chemical, wear, and the cutter. */
export const serviceRules: Rule[] = [
  {
    id: 'heat',
    name: 'Heat',
    question: 'Does it stand the temperature, wet or dry?',
    judge: ({ card, survey }) => {
      const wet = survey.service.medium !== 'air';
      const kind = wet ? 'Wet heat' : 'Dry heat';
      const full = wet ? card.service.wetHeatC : card.service.dryHeatC;
      const { mediumC } = survey.service;
      const { postCure } = card;
      const against = {
        value: mediumC,
        limit: full,
        quantity: 'temperature' as const,
        sense: 'max' as const,
      };
      if (mediumC < card.service.minC) {
        const because = `It is used down to ${celsius(card.service.minC)}; this is ${celsius(mediumC)}.`;
        return no(because, { against: { ...against, limit: card.service.minC, sense: 'min' } });
      }
      if (mediumC > full) {
        return no(`${kind} ${celsius(mediumC)}; the card’s limit is ${celsius(full)}.`, {
          against,
          relax: {
            say: `Would at ${celsius(full)} or below.`,
            path: 'service.mediumC',
            text: `${full} °C`,
          },
        });
      }
      if (postCure && mediumC > postCure.withoutC) {
        return fitsIf(
          `post-cured ${say(postCure.minutes, 'time')} at ${celsius(postCure.tempC)}`,
          `Without post-cure it stands ${celsius(postCure.withoutC)}.`,
          {
            against,
            relax: {
              say: `Would without it at ${celsius(postCure.withoutC)} or below.`,
              path: 'service.mediumC',
              text: `${postCure.withoutC} °C`,
            },
          },
        );
      }
      return fits(`${kind} to ${celsius(full)}.`, against);
    },
  },
  {
    id: 'medium',
    name: 'Medium',
    question: 'Is the medium on the card, at this temperature?',
    judge: ({ card, survey }) => {
      const { medium, mediumC } = survey.service;
      const name = MEDIUM_NAMES[medium].toLowerCase();
      if (medium === 'air') return fits('Air only.');
      const limit = card.service.media.find((m) => m.medium === medium);
      if (!limit) return no(`The card does not stand ${name}.`);
      const against = {
        value: mediumC,
        limit: limit.maxC,
        quantity: 'temperature' as const,
        sense: 'max' as const,
      };
      if (mediumC <= limit.maxC) return fits(`Stands ${name} to ${celsius(limit.maxC)}.`, against);
      return no(`Stands ${name} to ${celsius(limit.maxC)}; this is ${celsius(mediumC)}.`, {
        against,
        relax: {
          say: `Would at ${celsius(limit.maxC)} or below.`,
          path: 'service.mediumC',
          text: `${limit.maxC} °C`,
        },
      });
    },
  },
  {
    id: 'ph',
    name: 'pH',
    question: 'Is the pH inside the card’s range?',
    judge: ({ card, survey }) => {
      const { ph, medium } = survey.service;
      const { min, max } = card.service.ph;
      if (medium === 'air' || medium === 'oil') return fits('No water, no pH.');
      const sense = ph < min ? ('min' as const) : ('max' as const);
      const limit = ph < min ? min : max;
      const against = { value: ph, limit, quantity: 'ph' as const, sense };
      if (ph >= min && ph <= max) return fits(`pH ${min} to ${max}.`, against);
      const side = ph < min ? `${min} or more` : `${max} or less`;
      return no(`pH ${ph}; the card goes ${min} to ${max}.`, {
        against,
        relax: { say: `Would at pH ${side}.`, path: 'service.ph', text: String(limit) },
      });
    },
  },
  {
    id: 'wear',
    name: 'Wear',
    question: 'Does it stand this wear?',
    judge: ({ card, survey }) => {
      const { wear } = survey.service;
      if (wear === 'none') return fits('Little wear here.');
      const rating = card.service[wear];
      const word = WORDS[rating] ?? 'none';
      const because = `${WEAR_NAMES[wear]}: the card is ${word}.`;
      const against = {
        value: rating,
        limit: 2,
        quantity: 'count' as const,
        sense: 'min' as const,
      };
      if (rating >= 3) return fits(because, against);
      if (rating === 2) return fitsIf('it is looked at again early', because, { against });
      if (rating === 1 && survey.intent === 'stopgap')
        return fitsIf('it is only a stop-gap', because, { against });
      return no(because, {
        against,
        relax: { say: 'Would where little wears it.', path: 'service.wear', text: 'none' },
      });
    },
  },
  {
    id: 'machine',
    name: 'Machining',
    question: 'Can it be cut to size?',
    judge: ({ card, survey }) => {
      if (!survey.parent.machined) return fits('It is not to be machined.');
      return card.service.machinable
        ? fits('It can be turned and milled.')
        : no('It cannot be cut; it is harder than the tool.', {
            relax: { say: 'Would if formed to size instead.', path: 'parent.machined', text: 'no' },
          });
    },
  },
];
