import { AREA_NAMES, INTENT_NAMES, NEARBY_NAMES, PERMISSION_NAMES } from '../materials/words';
import { say } from '../units/format';
import { fillKind } from '../materials/card';
import { drawPacks } from '../plan/draw';
import { fits, fitsIf, no, type Rule } from './rule';

/** Whether it may be done here, by these people, with what is on the shelf. */
export const placeRules: Rule[] = [
  {
    id: 'route',
    name: 'The route',
    question: 'Is a repair of this kind for this damage at all?',
    judge: ({ card, demand }) => {
      // A refusal of the site’s own route is not one of the trade it is handed to.
      const stop = demand.refusals.find((r) => r.who === 'none' || r.who !== card.permission);
      return stop ? no(stop.because) : fits('Nothing about the damage rules it out.');
    },
  },
  {
    id: 'permission',
    name: 'Who may do it',
    question: 'May the technician do it?',
    judge: ({ card }) =>
      card.permission === 'none'
        ? fits('The technician’s own work.')
        : fitsIf(
            () => `${PERMISSION_NAMES[card.permission].toLowerCase()} does it`,
            () => `${PERMISSION_NAMES[card.permission]} must do this one.`,
          ),
  },
  {
    id: 'intent',
    name: 'Meant as',
    question: 'Is it made to last?',
    judge: ({ card, survey }) =>
      card.stopgapOnly && survey.intent === 'lasting'
        ? no(() => `${card.code} is a stop-gap, and this is meant to last.`)
        : fits(() => `${INTENT_NAMES[survey.intent]}: yes.`),
  },
  {
    id: 'chosen',
    name: 'Your choice',
    question: 'Is it of the kind that was chosen?',
    judge: ({ card, context, demand }) => {
      const { moving = 'check', tyre = 'cover' } = context.schools ?? {};
      const kind = fillKind(card);
      if (demand.crack && moving !== 'check' && kind !== moving)
        return no(() => `You chose ${moving} fill; this one is ${kind}.`);
      if (tyre === 'shop' && demand.material === 'tyre-rubber' && card.permission !== 'tyre-shop')
        return no('You chose a section repair at the shop; this is a cover.');
      return fits('Nothing was chosen against it.');
    },
  },
  {
    id: 'size',
    name: 'Size',
    question: 'Is it of a size this is meant for?',
    judge: ({ card, demand, packs }) => {
      if (!packs.ok) return no(packs.why);
      const against = {
        value: demand.longestMm,
        limit: card.mostMm,
        quantity: 'length' as const,
        sense: 'max' as const,
      };
      return demand.longestMm <= card.mostMm
        ? fits(() => `Up to ${say(card.mostMm, 'length')}.`, against)
        : no(
            () =>
              `${say(demand.longestMm, 'length')} long; it is meant for up to ${say(card.mostMm, 'length')}.`,
            { against },
          );
    },
  },
  {
    id: 'light',
    name: 'Light',
    question: 'Does the lamp reach all of it?',
    judge: ({ card, demand, buildMm }) => {
      const { mix } = card;
      if (mix.kind !== 'light-cured') return fits('It needs no lamp.');
      if (!demand.light?.reaches)
        return no('It cures by light, and the lamp does not reach it.', {
          relax: { say: 'Would if the lamp reaches it.', path: 'board.lampReaches', text: 'yes' },
        });
      const passes = Math.ceil(buildMm / mix.depthPerPassMm - 1e-9);
      return fits(
        () =>
          `${passes} ${passes === 1 ? 'pass' : 'passes'} of ${say(mix.depthPerPassMm, 'length')} under the lamp.`,
      );
    },
  },
  {
    id: 'nearby',
    name: 'Close by',
    question: 'Does it spoil what is close by?',
    judge: ({ card, demand }) => {
      if (!demand.nearby || !card.spoils.includes(demand.nearby))
        return fits('It spoils nothing close by.');
      const name = NEARBY_NAMES[demand.nearby].toLowerCase();
      return fitsIf(
        () => `${name} ${name.endsWith('s') ? 'are' : 'is'} covered first`,
        () => `It spoils ${name}.`,
        {
          relax: {
            say: 'Would without a cover if it were moved.',
            path: 'site.nearby',
            text: 'none',
          },
        },
      );
    },
  },
  {
    id: 'ventilation',
    name: 'Vapour',
    question: 'Is there air enough, and nothing to light it?',
    judge: ({ card, demand, survey }) => {
      if (card.flammable && survey.site.area === 'zone-1')
        return no(
          () => `Its vapour burns, and this is ${AREA_NAMES[survey.site.area].toLowerCase()}.`,
          {
            relax: { say: 'Would with a gas-free permit.', path: 'site.area', text: 'safe' },
          },
        );
      if ((card.flammable || card.ventilate) && demand.closed)
        return fitsIf(
          'air is blown through, and its exit watched',
          card.flammable
            ? 'Its vapour burns and gathers in a closed space.'
            : 'Its vapour harms and gathers in a closed space.',
          {
            relax: { say: 'Would as it is in open air.', path: 'site.closed', text: 'no' },
          },
        );
      return fits(card.flammable ? 'No ignition near; there is air.' : 'No vapour to fear here.');
    },
  },
  {
    id: 'stock',
    name: 'On the shelf',
    question: 'Is enough of it on the shelf?',
    judge: ({ card, toDraw, context, survey }) => {
      if (!context.shelf || toDraw === null) return fits('The shelf is not counted here.');
      const own = context.shelf.filter((l) => l.cardCode === card.code);
      const drawn = drawPacks(toDraw, card.packs, own, survey.window.startAt);
      if (!drawn.ok) return no(drawn.why);
      const toBuy = drawn.picks.filter((p) => p.lot === null);
      const wanted = drawn.picks.reduce((n, p) => n + p.count, 0);
      const held = wanted - toBuy.reduce((n, p) => n + p.count, 0);
      const against = {
        value: held,
        limit: wanted,
        quantity: 'count' as const,
        sense: 'min' as const,
      };
      if (toBuy.length === 0) return fits('All packs are on the shelf.', against);
      return fitsIf(
        () => `${toBuy.map((p) => `${p.count} × ${p.label}`).join(', ')} is fetched first`,
        () => `${held} of ${wanted} packs are on the shelf.`,
        { against },
      );
    },
  },
];
