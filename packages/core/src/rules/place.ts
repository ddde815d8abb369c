import { t } from '../text/text';
import { fillKind, whyWithdrawn } from '../materials/card';
import { AREA_NAMES, INTENT_NAMES, NEARBY_NAMES, PERMISSION_NAMES } from '../materials/words';
import type { RouteCondition } from '../survey/refusal';
import type { Work } from '../work/work';
import { joined, m, mm } from '../message/message';
import { atMost, fits, fitsIf, joinConditions, no, relaxBy, relaxCommon, type Rule } from './rule';

/** The steps that meet all of the conditions; undefined if one of them names none. */
const stepsOf = (conditions: readonly RouteCondition[]): readonly string[] | undefined =>
  conditions.every((c) => c.steps) ? conditions.flatMap((c) => c.steps ?? []) : undefined;

/** The conditions of a family's route: approvals are separate from work. */
const routeRule = (
  id: string,
  {
    name,
    question,
    none,
    pick,
  }: { name: string; question: string; none: string; pick: (work: Work) => RouteCondition[] },
): Rule => ({
  id,
  name,
  question,
  judge: (work) => {
    const conditions = pick(work);
    if (conditions.length === 0) return fits(none);
    return fitsIf(
      () => joinConditions(conditions.map((c) => c.condition)),
      () => joined(conditions.map((c) => c.because)),
      { who: conditions[0]?.who, steps: stepsOf(conditions) },
    );
  },
});

/** Whether this material may be used here, by these people. */
export const placeRules: Rule[] = [
  {
    id: 'in-use',
    name: t('In use'),
    question: t('Is it still used here?'),
    judge: ({ card }) => {
      const why = whyWithdrawn(card);
      return why === null ? fits(t('It is in use.')) : no(() => m('Withdrawn: {why}.', { why }));
    },
  },
  {
    id: 'route',
    name: t('The route'),
    question: t('Is a repair of this kind for this damage at all?'),
    judge: ({ card, demand }) => {
      // A refusal of the site’s own route does not apply to the trade that takes over.
      const stop = demand.refusals.find((r) => r.who === 'none' || r.who !== card.permission);
      return stop ? no(stop.because) : fits(t('Nothing about the damage rules it out.'));
    },
  },
  routeRule('leave', {
    name: t('With leave'),
    question: t('Must somebody allow it first?'),
    none: t('Nobody need allow it.'),
    pick: ({ demand, card }) =>
      // A person who does the work needs no approval from themselves.
      demand.conditions.filter((c) => c.who !== undefined && c.who !== card.permission),
  }),
  routeRule('round', {
    name: t('Round it'),
    question: t('Must something round it be seen to?'),
    none: t('Nothing round it asks for more.'),
    pick: ({ demand }) => demand.conditions.filter((c) => c.who === undefined),
  }),
  {
    id: 'permission',
    name: t('Who may do it'),
    question: t('May the technician do it?'),
    judge: ({ card }) =>
      card.permission === 'none'
        ? fits(t('The technician’s own work.'))
        : fitsIf(
            () => m('{who} does it', { who: PERMISSION_NAMES[card.permission].toLowerCase() }),
            () => m('{who} must do this one.', { who: PERMISSION_NAMES[card.permission] }),
            { who: card.permission },
          ),
  },
  {
    id: 'intent',
    name: t('Meant as'),
    question: t('Is it made to last?'),
    judge: ({ card, survey }) =>
      card.stopgapOnly && survey.intent === 'lasting'
        ? no(() => m('{card} is a stop-gap, and this is meant to last.', { card: card.code }))
        : fits(() => m('{intent}: yes.', { intent: INTENT_NAMES[survey.intent] })),
  },
  {
    id: 'chosen',
    name: t('Your choice'),
    question: t('Is it of the kind that was chosen?'),
    judge: ({ card, schools, demand }) => {
      const { moving = 'check', tyre = 'cover' } = schools;
      const kind = fillKind(card);
      if (demand.crack && moving !== 'check' && kind !== moving)
        return no(() => m('You chose {moving} fill; this one is {kind}.', { moving, kind }));
      if (tyre === 'shop' && demand.material === 'tyre-rubber' && card.permission !== 'tyre-shop')
        return no(t('You chose a section repair at the shop; this is a cover.'));
      return fits(t('Nothing was chosen against it.'));
    },
  },
  {
    id: 'size',
    name: t('Size'),
    question: t('Is it of a size this is meant for?'),
    judge: ({ card, demand, covers }) => {
      if (covers && !covers.ok) return no(covers.why);
      const against = {
        value: demand.longestMm,
        limit: card.mostMm,
        quantity: 'length' as const,
        sense: 'max' as const,
      };
      return atMost(demand.longestMm, card.mostMm)
        ? fits(() => m('Up to {most}.', { most: mm(card.mostMm) }), against)
        : no(
            () =>
              m('{long} long; it is meant for up to {most}.', {
                long: mm(demand.longestMm),
                most: mm(card.mostMm),
              }),
            { against },
          );
    },
  },
  {
    id: 'light',
    name: t('Light'),
    question: t('Does the lamp reach all of it?'),
    judge: ({ card, demand, buildMm }) => {
      const { mix } = card;
      if (mix.kind !== 'light-cured') return fits(t('It needs no lamp.'));
      if (!demand.light?.reaches)
        return no(t('It cures by light, and the lamp does not reach it.'), {
          relax: relaxBy(demand, {
            figure: 'light',
            text: 'yes',
            say: m('Would if the lamp reaches it.'),
          }),
        });
      const n = Math.ceil(buildMm / mix.depthPerPassMm - 1e-9);
      return fits(() =>
        m('{n, plural, one {One pass} other {# passes}} of {deep} under the lamp.', {
          n,
          deep: mm(mix.depthPerPassMm),
        }),
      );
    },
  },
  {
    id: 'nearby',
    name: t('Close by'),
    question: t('Does it spoil what is close by?'),
    judge: ({ card, demand }) => {
      if (!demand.nearby || !card.spoils.includes(demand.nearby))
        return fits(t('It spoils nothing close by.'));
      const name = NEARBY_NAMES[demand.nearby].toLowerCase();
      return fitsIf(
        () =>
          m('{name} {many, select, yes {are} other {is}} covered first', {
            name,
            many: name.endsWith('s') ? 'yes' : 'no',
          }),
        () => m('It spoils {name}.', { name }),
        {
          relax: relaxCommon('site.nearby', 'none', m('Would without a cover if it were moved.')),
          steps: ['protect'],
        },
      );
    },
  },
  {
    id: 'ventilation',
    name: t('Vapour'),
    question: t('Is there air enough, and nothing to light it?'),
    judge: ({ card, demand, survey }) => {
      if (card.flammable && demand.ignition)
        return no(t('Its vapour burns, and what could light it cannot be stopped.'));
      if (card.flammable && survey.site.area === 'zone-1')
        return no(
          () =>
            m('Its vapour burns, and this is {area}.', {
              area: AREA_NAMES[survey.site.area].toLowerCase(),
            }),
          { relax: relaxCommon('site.area', 'safe', m('Would with a gas-free permit.')) },
        );
      if (card.flammable && survey.site.area === 'zone-2')
        return fitsIf(
          () =>
            m(
              'the air is tested for gas before and during its use{closed, select, yes {, and kept flowing} other {}}',
              { closed: demand.closed ? 'yes' : 'no' },
            ),
          t('Its vapour burns, and this is zone 2.'),
          {
            relax: demand.closed
              ? undefined
              : relaxCommon('site.area', 'safe', m('Would as it is with a gas-free permit.')),
          },
        );
      if ((card.flammable || card.ventilate) && demand.closed)
        return fitsIf(
          t('air is blown through, and its exit watched'),
          card.flammable
            ? t('Its vapour burns and gathers in a closed space.')
            : t('Its vapour harms and gathers in a closed space.'),
          {
            steps: ['ventilate'],
          },
        );
      return fits(
        card.flammable ? t('Nothing to light it; there is air.') : t('No vapour to fear here.'),
      );
    },
  },
];
