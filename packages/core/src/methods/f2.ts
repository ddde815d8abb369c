import type { Shape } from '../geometry/shapeVolume';
import type { MilestoneId } from '../materials/card';
import type { Medium } from '../materials/words';
import type { SiteSettings } from '../plan/site';
import type { StepDraft } from '../plan/step';
import type { WorkUp } from '../plan/workUp';
import type { RebuildDamage } from '../survey/f2';
import type { Survey } from '../survey/survey';
import { say } from '../units/format';
import { isRound, rebuildPrep } from './f2Prep';
import type { Body, Method } from './method';

const mm = (x: number) => say(x, 'length');

/** Material left on for the tool where the finished size is cut. */
const allowance = (survey: Survey, site: SiteSettings) =>
  survey.parent.machined ? site.machiningMm : 0;

function bodyOf(damage: RebuildDamage, i: number, extraMm: number): Body {
  const paths = (...keys: string[]) => keys.map((key) => `damages.${i}.${key}`);
  if (damage.shape === 'seat' || damage.shape === 'bore') {
    const { finishedDiameterMm: finished, wornDiameterMm, lengthMm } = damage;
    const onShaft = damage.shape === 'seat';
    const finishedDiameterMm = onShaft
      ? finished + 2 * extraMm
      : Math.max(finished - 2 * extraMm, finished / 2);
    const kind = onShaft ? ('band' as const) : ('bore-band' as const);
    const shape: Shape = { kind, finishedDiameterMm, wornDiameterMm, lengthMm };
    const buildMm = Math.abs(finishedDiameterMm - wornDiameterMm) / 2;
    const title = onShaft ? 'Shaft seat' : 'Bore';
    return {
      title,
      shape,
      buildMm,
      remainingMm: null,
      paths: paths('finishedDiameterMm', 'wornDiameterMm', 'lengthMm'),
    };
  }
  const { depthMm, wallMm } = damage;
  const remainingMm = wallMm - depthMm;
  const buildMm = depthMm + extraMm;
  if (damage.shape === 'pocket') {
    const shape: Shape = { kind: 'dish', diameterMm: damage.diameterMm, depthMm: buildMm };
    return {
      title: 'Round pocket',
      shape,
      buildMm,
      remainingMm,
      paths: paths('diameterMm', 'depthMm'),
    };
  }
  const { lengthMm, widthMm } = damage;
  const shape: Shape = { kind: 'slab', lengthMm, widthMm, depthMm: buildMm };
  return {
    title: 'Flat area',
    shape,
    buildMm,
    remainingMm,
    paths: paths('lengthMm', 'widthMm', 'depthMm'),
  };
}

const AGGRESSIVE: readonly Medium[] = ['lime-milk', 'caustic', 'mineral-acid'];

/** Dry seats wait for load; wetted metal for immersion; strong alkali and acid for the full cure when it must last. */
function needed({ service, intent }: Survey): MilestoneId {
  if (service.medium === 'air' || service.medium === 'oil') return 'fullLoad';
  return AGGRESSIVE.includes(service.medium) && intent === 'lasting' ? 'chemical' : 'immersion';
}

function mix(work: WorkUp): StepDraft[] {
  const { card, batch } = work;
  const each = card.mix.mixMinutes;
  return [
    {
      id: 'lay-out',
      station: 'mix',
      title: 'Lay out, say who',
      text: `One mixes, one places. A clean tool for each part. Write the time on each pail. ${card.mix.tool}.`,
      minutes: 5,
      people: 2,
      hold: { kind: 'check' },
      figures: ['packs'],
    },
    {
      id: 'mix',
      station: 'mix',
      title: `Mix ${work.batches === 1 ? 'one batch' : `${work.batches} batches`}`,
      text: `Weigh both parts, mix ${say(each, 'time')}, scrape wall and base of the pail. ${card.mix.mixedSign}.`,
      minutes: each * Math.max(work.batches, 1),
      people: 2,
      figures: ['total', 'batch', 'life'],
      wrong: [
        {
          sign: 'Streaks of either colour',
          remedy: 'Mix on, up to one minute more. Still streaked: bin it.',
        },
        {
          sign: 'Pail warm in the hand',
          remedy: 'Stop placing. Spread the rest thin on sheet; never leave it in the pail.',
        },
        { sign: 'Off ratio', remedy: 'Add what the scale check says, before mixing starts.' },
      ],
      hold: batch.ok ? null : { kind: 'check' },
    },
  ];
}

function build(work: WorkUp): StepDraft[] {
  const { coats, coatMm, survey, batch } = work;
  const placeMin = batch.ok ? batch.minutesToPlace * batch.batches : 0;
  const coat = (n: number): StepDraft => ({
    id: `coat-${n}`,
    station: 'build',
    title: coats === 1 ? 'Place it' : `Coat ${n} of ${coats}`,
    text: `${
      n === 1
        ? 'Scrub a thin wetting coat hard into the profile with a stiff brush. Without waiting, build on it'
        : 'Inside the overcoat window, or abrade first. Press on the next coat'
    }, ${mm(coatMm)}, from the middle out so that air leaves.${
      n === coats
        ? isRound(survey)
          ? ' Close the former square.'
          : ' Leave it proud by the overfill, pull the tape while wet.'
        : ''
    }`,
    minutes: placeMin,
    people: 2,
    hold: { kind: 'check' },
    figures: coats > 1 ? ['coats', 'coat', 'overcoat'] : ['coats', 'coat'],
    wrong: [
      { sign: 'It sags', remedy: 'Take the excess off while wet; build the rest as another coat.' },
      { sign: 'Trapped air', remedy: 'Slit, press out, close over while wet.' },
    ],
  });
  return Array.from({ length: coats }, (_, i) => coat(i + 1));
}

function cure(work: WorkUp): StepDraft[] {
  const { card, survey } = work;
  const steps: StepDraft[] = [
    {
      id: 'leave',
      station: 'cure',
      title: 'Leave it',
      text: `Keep it at ${say(survey.readings.surfaceC, 'temperature')} or warmer and dry. Hard is not cured.`,
      minutes: 0,
      hold: { kind: 'check' },
      wrong: [
        {
          sign: 'It got colder',
          remedy: 'Every time stretches. Measure, and read the strip at the new temperature.',
        },
      ],
    },
  ];
  const { postCure } = card;
  if (postCure && survey.service.mediumC > postCure.withoutC) {
    steps.push({
      id: 'post-cure',
      station: 'cure',
      title: 'Post-cure',
      text: `Hold at ${say(postCure.tempC, 'temperature')} for ${say(postCure.minutes, 'time')}, heated evenly. Without it the limit is ${say(postCure.withoutC, 'temperature')}.`,
      minutes: postCure.minutes,
      hold: {
        kind: 'reading',
        label: 'Held at',
        quantity: 'temperature',
        min: postCure.tempC,
        max: null,
      },
    });
  }
  return steps;
}

function accept(work: WorkUp): StepDraft[] {
  const { card, survey } = work;
  const station = 'accept' as const;
  const cut: StepDraft = survey.parent.machined
    ? {
        id: 'machine',
        station,
        title: 'Machine to size',
        text: 'Cut to the finished size. Speeds and feeds are the machinist’s. Wet, or with extraction.',
        minutes: 60,
        hold: { kind: 'check' },
      }
    : {
        id: 'dress',
        station,
        title: 'Dress it',
        text: 'Grind flush to the template. Dust off, mask on.',
        minutes: 20,
        hold: { kind: 'check' },
      };
  return [
    {
      id: 'look',
      station,
      title: 'Look and tap',
      text: 'No pinholes, no lifted edge, one colour. Tap all over: one sound.',
      minutes: 10,
      hold: { kind: 'check' },
      wrong: [
        { sign: 'Pinholes', remedy: 'Abrade, fill with a wet coat, let it cure.' },
        { sign: 'Hollow sound', remedy: 'Cut that part out to the metal and do it again.' },
      ],
    },
    {
      id: 'hardness',
      station,
      title: 'Hardness',
      text: `Shore D ${card.service.hardnessShoreD} or more, three readings on the repair or on the batch sample.`,
      minutes: 10,
      hold: {
        kind: 'hardness',
        target: card.service.hardnessShoreD,
        minReadings: 3,
        minSharePct: 100,
      },
      figures: ['hardness'],
      wrong: [
        { sign: 'Soft spot', remedy: 'Bad mixing or too cold. Warm it; still soft: cut it out.' },
      ],
    },
    cut,
  ];
}

export const rebuildMethod: Method = {
  family: 'F2',
  bodies: (survey, site) => survey.damages.map((d, i) => bodyOf(d, i, allowance(survey, site))),
  needed,
  steps: (work) => [
    ...rebuildPrep(work),
    ...mix(work),
    ...build(work),
    ...cure(work),
    ...accept(work),
  ],
  nextLookDays: { lasting: 90, stopgap: 7 },
};
