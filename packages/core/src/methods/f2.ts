import type { SystemCard } from '../materials/card';
import type { StepDraft } from '../plan/step';
import type { WorkUp } from '../plan/workUp';

import { say } from '../units/format';
import { isRound, rebuildPrep } from './f2Prep';
import { defineMethod } from './method';
import type { SurveyOf } from '../survey/survey';

type Work = WorkUp<SurveyOf<'F2'>>;
type Hardness = NonNullable<SystemCard['service']['hardness']>;

const mm = (x: number) => say(x, 'length');

function mix(work: Work): StepDraft[] {
  const { card, batch } = work;
  const each = card.mix.mixMinutes;
  return [
    {
      id: 'lay-out',
      station: 'mix',
      title: 'Lay out, say who',
      text: () =>
        `One mixes, one places. A clean tool for each part. Write the time on each pail. ${card.mix.tool}.`,
      minutes: 5,
      people: 2,
      hold: { kind: 'check' },
      figures: ['packs'],
    },
    {
      id: 'mix',
      station: 'mix',
      title: `Mix ${work.batches === 1 ? 'one batch' : `${work.batches} batches`}`,
      text: () =>
        `Weigh both parts, mix ${say(each, 'time')}, scrape wall and base of the pail. ${card.mix.mixedSign}.`,
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

function build(work: Work): StepDraft[] {
  const { coats, coatMm, survey, batch } = work;
  const placeMin = batch.ok ? batch.minutesToPlace * batch.batches : 0;
  const coat = (n: number): StepDraft => ({
    id: `coat-${n}`,
    station: 'build',
    title: coats === 1 ? 'Place it' : `Coat ${n} of ${coats}`,
    text: () =>
      `${
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

function cure(work: Work): StepDraft[] {
  const { card, survey } = work;
  const steps: StepDraft[] = [
    {
      id: 'leave',
      station: 'cure',
      title: 'Leave it',
      text: () =>
        `Keep it at ${say(survey.readings.surfaceC, 'temperature')} or warmer and dry. Hard is not cured.`,
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
      text: () =>
        `Hold at ${say(postCure.tempC, 'temperature')} for ${say(postCure.minutes, 'time')}, heated evenly. Without it the limit is ${say(postCure.withoutC, 'temperature')}.`,
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

function hardnessStep(hard: Hardness): StepDraft {
  return {
    id: 'hardness',
    station: 'accept',
    title: 'Hardness',
    text: () =>
      `Shore ${hard.scale} ${hard.least} or more, three readings on the repair or on the batch sample.`,
    minutes: 10,
    hold: {
      kind: 'hardness',
      target: hard.least,
      minReadings: 3,
      minSharePct: 100,
    },
    figures: ['hardness'],
    wrong: [
      { sign: 'Soft spot', remedy: 'Bad mixing or too cold. Warm it; still soft: cut it out.' },
    ],
  };
}

function accept(work: Work): StepDraft[] {
  const { card, survey } = work;
  const hard = card.service.hardness;
  const station = 'accept' as const;
  const cut: StepDraft = survey.parent.machined
    ? {
        id: 'machine',
        station,
        title: 'Machine to size',
        text: () =>
          'Cut to the finished size. Speeds and feeds are the machinist’s. Wet, or with extraction.',
        minutes: 60,
        hold: { kind: 'check' },
      }
    : {
        id: 'dress',
        station,
        title: 'Dress it',
        text: () => 'Grind flush to the template. Dust off, mask on.',
        minutes: 20,
        hold: { kind: 'check' },
      };
  return [
    {
      id: 'look',
      station,
      title: 'Look and tap',
      text: () => 'No pinholes, no lifted edge, one colour. Tap all over: one sound.',
      minutes: 10,
      hold: { kind: 'check' },
      wrong: [
        { sign: 'Pinholes', remedy: 'Abrade, fill with a wet coat, let it cure.' },
        { sign: 'Hollow sound', remedy: 'Cut that part out to the metal and do it again.' },
      ],
    },
    ...(hard ? [hardnessStep(hard)] : []),
    cut,
  ];
}

export const rebuildMethod = defineMethod({
  family: 'F2',
  steps: (work) => [
    ...rebuildPrep(work),
    ...mix(work),
    ...build(work),
    ...cure(work),
    ...accept(work),
  ],
  minutesHangOn: ({ card }) =>
    `${card.postCure?.minutes ?? 0}|${card.postCure?.withoutC ?? 0}|${card.service.hardness ? 1 : 0}`,
  nextLookDays: { lasting: 90, stopgap: 7 },
});
