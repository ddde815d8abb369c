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
            text: () =>
              m(
                'Tent and heater: bring the surface to {temp} and hold it there to the end of the cure. No naked flame, no exhaust gas on the surface.',
                { temp: celsius(heldC) },
              ),
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
            text: () =>
              m(
                'Tent and dryer: bring the air to {rh} or less, and keep it there until it is tack-free.',
                {
                  rh: q(card.ambient.maxRhPct, 'percent'),
                },
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
    ...(work.demand.closed && (card.flammable || card.ventilate)
      ? [
          prep('ventilate', {
            does: 'safe',
            title: t('Blow air through'),
            minutes: 10,
            text: () =>
              m(
                'Fresh air blown in at the bottom, out at the top, its exit watched; gas test before anybody goes in.',
              ),
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
      text: () =>
        m('Measure where it sets, in the water if it is under it: {min} to {max}.', {
          min: celsius(minSurfaceC),
          max: celsius(maxSurfaceC),
        }),
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
    text: () =>
      m(
        'Measure air, humidity and surface at the repair. Surface {above} above dew point or more, {min} to {max}, humidity {rh} or less.',
        {
          above: q(minAboveDewC, 'temperatureStep'),
          min: celsius(minSurfaceC),
          max: celsius(maxSurfaceC),
          rh: q(maxRhPct, 'percent'),
        },
      ),
    extra: {
      hold: { kind: 'ambient' },
      figures: ['dewPoint', 'margin'],
      wrong: [
        wrong(t('Stop'), t('Warm the surface or dry the air, then measure again. Do not mix.')),
      ],
      ...more,
    },
  });
};

/** The steps between the last wipe and the first mix: heating or drying, then the gate. */
export const beforeMixing = (work: Work): StepDraft[] => [...heldSteps(work), gate(work)];
