import { crackMovement } from '../cracks/crackMovement';
import { fillKind } from '../materials/card';
import { MEDIUM_NAMES, WEAR_NAMES } from '../materials/words';
import { say } from '../units/format';
import { fits, fitsIf, no, type Rule } from './rule';

const celsius = (x: number) => say(x, 'temperature');
const WORDS = ['none', 'poor', 'fair', 'good', 'very good'];

/** Whether it stands what it must: heat, chemical, wear, the cutter, pressure, bending and movement. */
export const serviceRules: Rule[] = [
  {
    id: 'heat',
    name: 'Heat',
    question: 'Does it stand the temperature, wet or dry?',
    judge: ({ card, demand }) => {
      const wet = demand.service.medium !== 'air';
      const kind = wet ? 'Wet heat' : 'Dry heat';
      const full = wet ? card.service.wetHeatC : card.service.dryHeatC;
      const { mediumC } = demand.service;
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
        return no(() => `${kind} ${celsius(mediumC)}; the card’s limit is ${celsius(full)}.`, {
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
          () => `post-cured ${say(postCure.minutes, 'time')} at ${celsius(postCure.tempC)}`,
          () => `Without post-cure it stands ${celsius(postCure.withoutC)}.`,
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
      return fits(() => `${kind} to ${celsius(full)}.`, against);
    },
  },
  {
    id: 'medium',
    name: 'Medium',
    question: 'Is the medium on the card, at this temperature?',
    judge: ({ card, demand }) => {
      const { medium, mediumC, concPct } = demand.service;
      const name = MEDIUM_NAMES[medium].toLowerCase();
      if (medium === 'air') return fits('Air only.');
      const limit = card.service.media.find((m) => m.medium === medium);
      if (!limit) return no(() => `The card does not stand ${name}.`);
      if (limit.maxConcPct !== undefined && concPct === null)
        return fitsIf(
          () => `it is no stronger than ${limit.maxConcPct} %`,
          () => `Stands ${name} to ${limit.maxConcPct} %.`,
        );
      if (limit.maxConcPct !== undefined && concPct !== null && concPct > limit.maxConcPct) {
        return no(() => `Stands ${name} to ${limit.maxConcPct} %; this is ${concPct} %.`, {
          against: { value: concPct, limit: limit.maxConcPct, quantity: 'percent', sense: 'max' },
          relax: {
            say: `Would at ${limit.maxConcPct} % or weaker.`,
            path: 'service.concPct',
            text: String(limit.maxConcPct),
          },
        });
      }
      const against = {
        value: mediumC,
        limit: limit.maxC,
        quantity: 'temperature' as const,
        sense: 'max' as const,
      };
      if (mediumC <= limit.maxC)
        return fits(() => `Stands ${name} to ${celsius(limit.maxC)}.`, against);
      return no(() => `Stands ${name} to ${celsius(limit.maxC)}; this is ${celsius(mediumC)}.`, {
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
    judge: ({ card, demand }) => {
      const { ph, medium } = demand.service;
      const { min, max } = card.service.ph;
      if (medium === 'air' || medium === 'oil') return fits('No water, no pH.');
      const sense = ph < min ? ('min' as const) : ('max' as const);
      const limit = ph < min ? min : max;
      const against = { value: ph, limit, quantity: 'ph' as const, sense };
      if (ph >= min && ph <= max) return fits(() => `pH ${min} to ${max}.`, against);
      const side = ph < min ? `${min} or more` : `${max} or less`;
      return no(() => `pH ${ph}; the card goes ${min} to ${max}.`, {
        against,
        relax: { say: `Would at pH ${side}.`, path: 'service.ph', text: String(limit) },
      });
    },
  },
  {
    id: 'wear',
    name: 'Wear',
    question: 'Does it stand this wear?',
    judge: ({ card, survey, demand }) => {
      const { wear } = demand.service;
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
    judge: ({ card, demand }) => {
      if (!demand.machined) return fits('It is not to be machined.');
      return card.service.machinable
        ? fits('It can be turned and milled.')
        : no('It cannot be cut; it is harder than the tool.', {
            relax: { say: 'Would if formed to size instead.', path: 'parent.machined', text: 'no' },
          });
    },
  },
  {
    id: 'pressure',
    name: 'Pressure',
    question: 'Does it hold the pressure?',
    judge: ({ card, demand, wrap }) => {
      const { pressureBar } = demand;
      if (wrap?.design) {
        if (!wrap.design.ok) return no(wrap.design.why);
        const { plies } = wrap.design;
        return fitsIf(
          'a pressure engineer approves the wrap',
          () =>
            `${plies} plies hold ${say(pressureBar, 'pressure')} by the composite repair method.`,
        );
      }
      if (pressureBar === 0) return fits('It holds no pressure.');
      if (demand.wrap?.engineered)
        return no('It has no laminate properties to design a wrap from.');
      const limit = card.service.pressureBar;
      const against = {
        value: pressureBar,
        limit,
        quantity: 'pressure' as const,
        sense: 'max' as const,
      };
      if (pressureBar <= limit) return fits(() => `Holds ${say(limit, 'pressure')}.`, against);
      if (limit === 0) return no('It is not made to hold pressure.', { against });
      return no(() => `Holds ${say(limit, 'pressure')}; this is ${say(pressureBar, 'pressure')}.`, {
        against,
        relax: {
          say: `Would at ${say(limit, 'pressure')} or less.`,
          path: demand.wrap ? 'line.pressureBar' : 'joint.pressureBar',
          text: `${limit} bar`,
        },
      });
    },
  },
  {
    id: 'flex',
    name: 'Flexing',
    question: 'Does it bend with what it is on?',
    judge: ({ card, demand }) => {
      if (!demand.flexes) return fits('It does not flex.');
      const { flex } = card.service;
      const against = { value: flex, limit: 3, quantity: 'count' as const, sense: 'min' as const };
      if (flex >= 3) return fits(() => `Flexing: the card is ${WORDS[flex]}.`, against);
      if (flex === 2)
        return fitsIf('it is looked at again early', () => `Flexing: the card is ${WORDS[flex]}.`, {
          against,
        });
      return no('It is rigid and cracks where it must bend.', { against });
    },
  },
  {
    id: 'movement',
    name: 'Movement',
    question: 'Does it hold when day and night move the crack?',
    judge: ({ card, demand }) => {
      const { crack } = demand;
      if (!crack || crack.swingC === 0) return fits('Nothing moves it.');
      const { movementPct, modulusMPa, tensileMPa } = card.service;
      const move = crackMovement({
        panelLengthM: crack.panelLengthM,
        deltaC: crack.swingC,
        expansionPerC: 1e-5,
        movementShare: 1,
        restraint: 1,
        crackWidthMm: crack.widthMm,
        materialMovementPct: movementPct,
        tied: false,
      });
      const against = {
        value: move.demandPct,
        limit: movementPct,
        quantity: 'percent' as const,
        sense: 'max' as const,
      };
      const asked = `It moves ${say(move.movementMm, 'length')}, ${say(move.demandPct, 'percent')} of the crack`;
      if (move.verdict === 'holds')
        return fits(() => `${asked}; the card stands ${movementPct} %.`, against);
      const stress =
        modulusMPa && tensileMPa && fillKind(card) === 'tied'
          ? (modulusMPa * 1e-5 * crack.swingC) / tensileMPa
          : Infinity;
      if (stress <= 1)
        return fitsIf(
          'both halves are tied across',
          () => `${asked}; tied, its stress stays under its strength.`,
          { against },
        );
      const swing = Math.floor((movementPct / move.demandPct) * crack.swingC);
      return no(() => `${asked}; the card stands ${movementPct} %.`, {
        against,
        relax:
          swing >= 1
            ? {
                say: `Would with a swing of ${swing} °C or less.`,
                path: 'floor.swingC',
                text: `${swing} °C`,
              }
            : undefined,
      });
    },
  },
  {
    id: 'crackWidth',
    name: 'Crack width',
    question: 'Does it run in, and stay in?',
    judge: ({ card, demand }) => {
      if (!demand.crack) return fits('It is no crack to run into.');
      if (!card.crackMm) return no('It is not made to fill a crack.');
      const { min, max } = card.crackMm;
      const { widthMm } = demand.crack;
      const [sense, limit] = widthMm < min ? (['min', min] as const) : (['max', max] as const);
      const against = { value: widthMm, limit, quantity: 'length' as const, sense };
      if (widthMm < min)
        return no(() => `Too thick for ${say(widthMm, 'length')}: from ${say(min, 'length')}.`, {
          against,
          relax: {
            say: `Would if chased out to ${say(min, 'length')}.`,
            path: 'damages.0.widthMm',
            text: `${min} mm`,
          },
        });
      if (widthMm > max)
        return no(() => `Runs out of ${say(widthMm, 'length')}: up to ${say(max, 'length')}.`, {
          against,
        });
      return fits(() => `For cracks of ${say(min, 'length')} to ${say(max, 'length')}.`, against);
    },
  },
];
