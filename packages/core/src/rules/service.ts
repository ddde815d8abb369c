import { t } from '../text/text';
import { WEAR_NAMES } from '../materials/words';
import { m, mm, q } from '../message/message';
import { bondHolds } from '../work/bond';
import { fittingFactor } from '../work/wrap';
import { buildRules } from './build';
import { forgottenRules } from './forgotten';
import { mediumRules } from './medium';
import { atLeast, atMost, fits, fitsIf, LOOKED_EARLY, no, relaxBy, type Rule } from './rule';

const RATINGS = ['none', 'poor', 'fair', 'good', t('very good')];
/** Ratings from which wear and flexing are resisted, and resisted for a limited time. */
const STANDS = 3;
const STANDS_A_WHILE = 2;
const STOPGAP_ONLY = 1;

/** Whether it resists its other service loads: wear, cutting, pressure, bending, movement, load. */
export const serviceRules: Rule[] = [
  ...mediumRules,
  {
    id: 'wear',
    name: t('Wear'),
    question: t('Does it stand this wear?'),
    strength: true,
    judge: ({ card, survey, demand }) => {
      const { wear } = demand.service;
      if (wear === 'none') return fits(t('Little wear here.'));
      const rating = card.service[wear];
      const because = m('Rated {word} against {wear}.', {
        wear: WEAR_NAMES[wear].toLowerCase(),
        word: RATINGS[rating] ?? 'none',
      });
      const against = {
        value: rating,
        limit: STANDS_A_WHILE,
        quantity: 'count' as const,
        sense: 'min' as const,
      };
      if (rating >= STANDS) return fits(because, against);
      const held = rating === STOPGAP_ONLY && survey.intent === 'stopgap';
      if (rating === STANDS_A_WHILE || held)
        return fitsIf(LOOKED_EARLY, because, { against, early: true });
      return no(because, {
        against,
      });
    },
  },
  {
    id: 'machine',
    name: t('Machining'),
    question: t('Can it be cut to size?'),
    judge: ({ card, demand }) => {
      if (!demand.machined) return fits(t('It is not to be machined.'));
      return card.service.machinable
        ? fits(t('It can be turned and milled.'))
        : no(t('It cannot be cut; it is harder than the tool.'), {
            relax: relaxBy(demand, {
              figure: 'machined',
              text: 'no',
              say: m('Would if formed to size instead.'),
            }),
          });
    },
  },
  {
    id: 'pressure',
    name: t('Pressure'),
    question: t('Does it hold the pressure?'),
    strength: true,
    judge: ({ card, demand, wrap, trade }) => {
      const { pressureBar } = demand;
      const got = q(pressureBar, 'pressure');
      if (wrap?.design) {
        if (!wrap.design.ok) return no(wrap.design.why);
        const plies = wrap.layers;
        return fitsIf(
          t('a pressure engineer approves the wrap'),
          () => m('{plies} plies hold {got} by the composite repair method.', { plies, got }),
          { who: 'pressure-engineer' },
        );
      }
      if (pressureBar === 0) return fits(t('It holds no pressure.'));
      if (demand.wrap?.engineered)
        return no(t('It has no laminate properties to design a wrap from.'));
      const { fitting = 'straight' } = demand.wrap ?? {};
      const limit = card.service.pressureBar / fittingFactor(fitting, trade);
      const most = q(limit, 'pressure');
      const where = m('{fitting, select, straight {} other { on this {fitting}}}', { fitting });
      const against = {
        value: pressureBar,
        limit,
        quantity: 'pressure' as const,
        sense: 'max' as const,
      };
      if (atMost(pressureBar, limit))
        return fits(() => m('Holds {most}{where}.', { most, where }), against);
      if (limit === 0) return no(t('It is not made to hold pressure.'), { against });
      return no(() => m('Holds {most}{where}; this is {got}.', { most, where, got }), {
        against,
      });
    },
  },
  {
    id: 'flex',
    name: t('Flexing'),
    question: t('Does it bend with what it is on?'),
    strength: true,
    judge: ({ card, demand }) => {
      if (!demand.flexes) return fits(t('It does not flex.'));
      const { flex } = card.service;
      const because = m('Rated {word} for flexing.', { word: RATINGS[flex] ?? 'none' });
      const against = {
        value: flex,
        limit: STANDS_A_WHILE,
        quantity: 'count' as const,
        sense: 'min' as const,
      };
      if (flex >= STANDS) return fits(because, against);
      if (flex === STANDS_A_WHILE) return fitsIf(LOOKED_EARLY, because, { against, early: true });
      return no(t('It is rigid and cracks where it must bend.'), { against });
    },
  },
  ...forgottenRules,
  ...buildRules,
  {
    id: 'load',
    name: t('Bond'),
    question: t('Does the bonded area carry the load, with a factor to spare?'),
    strength: true,
    judge: ({ card, demand, trade }) => {
      const { load } = demand;
      const shear = card.service.lapShearMPa;
      if (!load) return fits(t('The bond carries no load.'));
      if (!shear)
        return no(t('Its lap shear strength is not on the card: it may not carry a load.'));
      const holds = bondHolds(load.areaMm2, shear, trade);
      const against = {
        value: load.newtons,
        limit: holds,
        quantity: 'force' as const,
        sense: 'max' as const,
      };
      const because = () =>
        m('It carries {load}; the bond is good for {holds}.', {
          load: q(load.newtons, 'force'),
          holds: q(holds, 'force'),
        });
      return atMost(load.newtons, holds) ? fits(because, against) : no(because, { against });
    },
  },
  {
    id: 'wall',
    name: t('Wall left'),
    question: t('Is enough wall left for the paste to be a lining and not the wall?'),
    judge: ({ bodies, wrap, demand, trade }) => {
      if (!demand.boundary) return fits(t('It holds no pressure.'));
      const walls = bodies.flatMap(({ body }) => (body.remainingMm === null ? [] : [body]));
      const thinnest = walls.sort((a, b) => (a.remainingMm ?? 0) - (b.remainingMm ?? 0))[0];
      if (wrap || !thinnest || thinnest.remainingMm === null)
        return fits(t('It holds no pressure.'));
      const left = thinnest.remainingMm;
      const limit = Math.max(
        trade.strength.thinMm,
        trade.strength.thinShare * (left + thinnest.buildMm),
      );
      const against = { value: left, limit, quantity: 'length' as const, sense: 'min' as const };
      if (atLeast(left, limit))
        return fits(() => m('{left} of wall is left.', { left: mm(left) }), against);
      return fitsIf(
        t('a pressure engineer approves the wall'),
        () =>
          m('{left} of wall is left; under {limit} the paste would carry pressure.', {
            left: mm(left),
            limit: mm(limit),
          }),
        { against, who: 'pressure-engineer' },
      );
    },
  },
];
