import { sentences } from '../message/sentences';
import { t } from '../text/text';
import { celsius, m, q } from '../message/message';
import type { StepDraft } from '../work/step';
import type { Need } from '../work/supplies';
import type { Work } from '../work/work';
import { prep, type Extra } from './prepStep';
import { wrong } from './step';

/** Sets in water: neither dew point nor rain matters. */
export const setsInWater = ({ card }: Pick<Work, 'card'>): boolean =>
  card.damp === 'wet' || card.damp === 'under-water';

/** Steps that keep the place warm or dry, before the gate; empty if none are needed. */
function heldSteps(work: Work): StepDraft[] {
  const { heldC, card, gate } = work;
  const dry = gate.reasons.includes('humidity');
  return [
    ...(heldC === null
      ? []
      : [
          prep('heat', {
            does: 'heat',
            title: m('Hold it at {temp}', { temp: celsius(heldC) }),
            minutes: 30,
            says: () =>
              sentences(
                `
                  Put up the tent and the heater.
                  Warm the surface to {temp}.
                  Keep it at {temp} until the end of the cure.
                `,
                { temp: celsius(heldC) },
              ),
            warns: sentences(`Use no open flame. Keep exhaust gas off the surface.`),
            extra: {
              hold: {
                kind: 'reading',
                label: m('Surface, held'),
                quantity: 'temperature',
                min: heldC,
                max: card.ambient.maxSurfaceC,
              },
              uses: ['heater'],
              figures: ['cost.heat'],
            },
          }),
        ]),
    ...(dry
      ? [
          prep('dry-air', {
            does: 'heat',
            title: t('Dry the air'),
            minutes: 30,
            says: () =>
              sentences(
                `
                  Put up the tent and the dryer.
                  Bring the humidity to {rh} or less.
                  Keep it there until the material is tack-free.
                `,
                { rh: q(card.ambient.maxRhPct, 'percent') },
              ),
            extra: {
              hold: {
                kind: 'reading',
                label: m('Humidity'),
                quantity: 'percent',
                min: null,
                max: card.ambient.maxRhPct,
              },
            },
          }),
        ]
      : []),
  ];
}
export const heldNeeds = ({ heldC }: Work): Need[] =>
  heldC === null
    ? []
    : [
        {
          kind: 'plain',
          id: 'heater',
          name: t('Tent and heater'),
          for: m('holding {temp}', { temp: celsius(heldC) }),
          amount: 1,
          quantity: 'count',
        },
      ];

/** The gate: stops the job before any material is opened. What sets in water only needs warmth. */
export const gate = (work: Work, more?: Extra): StepDraft => {
  const { minAboveDewC, minSurfaceC, maxSurfaceC, maxRhPct } = work.card.ambient;
  if (setsInWater(work))
    return prep('water-temp', {
      does: 'gate',
      title: t('Temperature where it sets'),
      minutes: 5,
      says: () =>
        sentences(
          `
            Measure the temperature at the place where the material will set.
            It must be {min} to {max}.
          `,
          { min: celsius(minSurfaceC), max: celsius(maxSurfaceC) },
        ),
      extra: {
        hold: {
          kind: 'reading',
          label: m('Where it sets'),
          quantity: 'temperature',
          min: minSurfaceC,
          max: maxSurfaceC,
        },
        ...more,
      },
    });
  return prep('gate', {
    does: 'gate',
    title: t('Dew point gate'),
    minutes: 5,
    says: () => [
      sentences(
        `
          Measure air temperature, humidity and surface temperature at the repair.
          The surface must be {min} to {max}.
        `,
        { min: celsius(minSurfaceC), max: celsius(maxSurfaceC) },
      ),
      minAboveDewC > 0 &&
        sentences(`It must be at least {above} above the dew point.`, {
          above: q(minAboveDewC, 'temperatureStep'),
        }),
      maxRhPct < 100 && sentences(`Humidity must be {rh} or less.`, { rh: q(maxRhPct, 'percent') }),
    ],
    extra: {
      hold: { kind: 'ambient' },
      figures: ['dewPoint', 'margin'],
      wrong: [
        wrong(t('Stop'), t('Do not mix. Warm the surface or dry the air. Then measure again.')),
      ],
      ...more,
    },
  });
};

/** The steps between the last wipe and the first mix: heating or drying, then the gate. */
export const beforeMixing = (work: Work): StepDraft[] => [...heldSteps(work), gate(work)];
