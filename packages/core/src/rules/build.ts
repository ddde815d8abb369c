import { t } from '../text/text';
import { crackMovement } from '../cracks/crackMovement';
import { fillKind, MOST_COATS } from '../materials/card';
import { SLOPE_NAMES } from '../materials/words';
import { m, mm, q } from '../message/message';
import { crackRoute } from '../work/crack';
import { atLeast, atMost, fits, fitsBuilt, fitsIf, no, relaxBy, type Rule } from './rule';

/** Whether the build suits its place: movement, crack width, thickness. */
export const buildRules: Rule[] = [
  {
    id: 'movement',
    name: t('Movement'),
    question: t('Does it hold when day and night move the crack?'),
    strength: true,
    judge: ({ card, demand, trade: { concrete } }) => {
      const { crack } = demand;
      if (!crack || crack.swingC === 0) return fits(t('Nothing moves it.'));
      const { movementPct, modulusMPa, tensileMPa } = card.service;
      const move = crackMovement({
        panelLengthM: crack.panelLengthM,
        deltaC: crack.swingC,
        expansionPerC: concrete.expansionPerC,
        movementShare: 1,
        restraint: 1,
        crackWidthMm: Math.min(...crack.widthsMm),
        materialMovementPct: movementPct,
        tied: false,
      });
      const against = {
        value: move.demandPct,
        limit: movementPct,
        quantity: 'percent' as const,
        sense: 'max' as const,
      };
      const given = {
        moves: mm(move.movementMm),
        asks: q(move.demandPct, 'percent'),
        stands: q(movementPct, 'percent'),
      };
      if (move.verdict === 'holds')
        return fits(
          () => m('It moves {moves}, {asks} of the crack; the card stands {stands}.', given),
          against,
        );
      const kind = fillKind(card);
      const stress =
        modulusMPa && tensileMPa && kind === 'tied'
          ? (modulusMPa * concrete.expansionPerC * crack.swingC) / tensileMPa
          : Infinity;
      if (atMost(stress, 1))
        return fitsIf(
          t('both halves are tied across'),
          () =>
            m(
              'It moves {moves}, {asks} of the crack; tied, its stress stays under its strength.',
              given,
            ),
          { against },
        );
      // Asphalt yields: a material bonded to it restrains nothing.
      const bonded = kind === 'rigid' && demand.material !== 'asphalt';
      if (bonded && tensileMPa) {
        const got =
          concrete.modulusMpa * concrete.expansionPerC * crack.swingC * concrete.groundRestraint;
        const most = Math.min(tensileMPa, concrete.tensileMpa);
        const held = {
          value: got,
          limit: most,
          quantity: 'stress' as const,
          sense: 'max' as const,
        };
        const words = () =>
          m('Bonded, it holds back {moves}: {got} across it, where {most} is the most.', {
            ...given,
            got: q(got, 'stress'),
            most: q(most, 'stress'),
          });
        return atMost(got, most) ? fits(words, held) : no(words, { against: held });
      }
      return no(
        () => m('It moves {moves}, {asks} of the crack; the card stands {stands}.', given),
        { against },
      );
    },
  },
  {
    id: 'crackWidth',
    name: t('Crack width'),
    question: t('Does it run in, and stay in?'),
    judge: ({ card, demand, trade }) => {
      if (!demand.crack) return fits(t('It is no crack to run into.'));
      if (!card.crackMm) return no(t('It is not made to fill a crack.'));
      const { min, max } = card.crackMm;
      const { widthMm, widthsMm } = demand.crack;
      const leastWidthMm = Math.min(...widthsMm);
      const single = widthsMm.filter((w) => !atLeast(w, min)).length === 1;
      // A broken-out crack has the width of the break-out.
      const narrow =
        crackRoute(card, leastWidthMm, trade) === 'break-out'
          ? Math.max(leastWidthMm, min)
          : leastWidthMm;
      if (!atLeast(narrow, min))
        return no(
          () =>
            m('Too thick to run into {got}; it fills from {min} on.', {
              got: mm(leastWidthMm),
              min: mm(min),
            }),
          {
            against: { value: leastWidthMm, limit: min, quantity: 'length', sense: 'min' },
            // One answer turns the verdict only if a single crack is too narrow, and none too wide.
            relax:
              single && atMost(widthMm, max)
                ? relaxBy(demand, {
                    figure: 'crackWidth',
                    text: `${min} mm`,
                    say: m('Would if chased out to {min}.', { min: mm(min) }),
                  })
                : undefined,
          },
        );
      const against = {
        value: widthMm,
        limit: max,
        quantity: 'length' as const,
        sense: 'max' as const,
      };
      if (!atMost(widthMm, max))
        return no(
          () =>
            m('It runs out of {got}; it fills up to {max}.', { got: mm(widthMm), max: mm(max) }),
          {
            against,
          },
        );
      return fits(
        () => m('For cracks of {min} to {max}.', { min: mm(min), max: mm(max) }),
        against,
      );
    },
  },
  {
    id: 'step',
    name: t('Step'),
    question: t('Does it bear both halves where one has sunk?'),
    judge: ({ card, demand, trade }) => {
      const { crack } = demand;
      const { concrete } = trade;
      if (!crack || crack.stepMm === 0) return fits(t('Both sides are level.'));
      const step = mm(crack.stepMm);
      const against = {
        value: crack.stepMm,
        limit: concrete.tripMm,
        quantity: 'length' as const,
        sense: 'max' as const,
      };
      if (crackRoute(card, crack.widthMm, trade) === 'break-out')
        return fits(() =>
          m('Broken out and filled under both halves, over a step of {step}.', { step }),
        );
      if (crack.wheels)
        return no(() =>
          m(
            'One side stands {step} higher and wheels go over it: it is broken out and filled under both halves.',
            { step },
          ),
        );
      return fitsIf(
        () => m('the high side is ground to a slope first'),
        () =>
          crack.stepMm > concrete.tripMm
            ? m('One side stands {step} higher: over {trip} is a trip.', {
                step,
                trip: mm(concrete.tripMm),
              })
            : m('One side stands {step} higher, and what is filled level with it breaks out.', {
                step,
              }),
        { against },
      );
    },
  },
  {
    id: 'thickness',
    name: t('One coat'),
    question: t('Can it be built this thick at this slope?'),
    judge: ({ card, survey, buildMm, coats, wrap, bodies }) => {
      if (wrap)
        return fits(() => m('{n} layers, {thick}.', { n: wrap.layers, thick: mm(buildMm) }));
      const slope = SLOPE_NAMES[survey.surface.slope];
      const perCoat = card.layer.maxMm[survey.surface.slope];
      const against = {
        value: buildMm,
        limit: perCoat,
        quantity: 'length' as const,
        sense: 'max' as const,
      };
      const { minMm, maxTotalMm, leastCoats } = card.layer;
      const shallow = Math.min(
        Infinity,
        ...bodies.filter((b) => b.body.deepens).map((b) => b.body.buildMm),
      );
      const tooThin = bodies.some(
        (b) => !b.body.deepens && !b.body.crack && !atLeast(b.buildMm, minMm),
      );
      const given = {
        deep: mm(buildMm),
        shallow: mm(shallow),
        least: mm(minMm),
        most: mm(maxTotalMm),
        each: mm(perCoat),
      };
      if (tooThin)
        return no(() => m('It may be {deep} thick; {least} is the least that holds.', given), {
          against: { ...against, limit: minMm, sense: 'min' },
        });
      if (!atMost(buildMm, maxTotalMm))
        return no(() => m('It is {deep} deep; {most} is the most in all.', given), {
          against: { ...against, limit: maxTotalMm },
        });
      if (coats > MOST_COATS)
        return no(
          () =>
            m('{slope}, one coat holds {each}, and it is {deep}: over {most} coats.', {
              ...given,
              slope,
              most: MOST_COATS,
            }),
          { against: { ...against, limit: perCoat * MOST_COATS } },
        );
      if (!atLeast(shallow, minMm) && !card.sheet)
        return fitsBuilt(
          () => m('undercut to {least}', given),
          () => m('It is {shallow} deep; {least} is the least that holds.', given),
          { ...against, limit: maxTotalMm },
        );
      if (coats > leastCoats)
        return fitsBuilt(
          () => m('built in {coats} coats', { coats }),
          () => m('{slope}, one coat holds {each}; it is {deep}.', { slope, ...given }),
          { ...against, limit: maxTotalMm },
        );
      return fits(
        () =>
          m('{n, plural, one {One coat to {each}} other {# coats of up to {each}}}, {slope}.', {
            n: leastCoats,
            slope: slope.toLowerCase(),
            ...given,
          }),
        { ...against, limit: perCoat * leastCoats },
      );
    },
  },
];
