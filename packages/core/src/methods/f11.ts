import type { Worked } from '../calc/calc';
import { injection, type Injection } from '../cracks/injection';
import { closing, figureOf } from '../plan/figure';
import { helperCode } from '../plan/supplies';
import type { WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeAll } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { helpMinutes } from './parts/pace';
import { gate, gradeStep, isolate, mm, own, protect, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F11'>>;

/** Both faces are sealed where both can be reached. */
const layouts = ({ survey, card }: Work): Worked<Injection>[] => {
  const how = card.injection;
  if (!how) return [];
  return survey.damages.map((d) =>
    injection({
      crackLengthMm: d.lengthMm,
      wallMm: d.wallMm,
      maxSpacingMm: how.maxSpacingMm,
      crackWidthMm: d.widthMm,
      sealWidthMm: how.sealWidthMm,
      sealThickMm: how.sealThickMm,
      sealFaces: d.shape === 'through' ? 2 : 1,
      lossPct: card.wastePct,
      expansion: how.expansion,
      minutesPerPort: how.minutesPerPort,
    }),
  );
};
const total = (work: Work, of: (i: Injection) => number) =>
  layouts(work).reduce((sum, i) => sum + of(i), 0);
const spacing = (work: Work) => Math.min(...layouts(work).map((i) => i.spacingMm));

/** A sealant is gunned over the crack; there is nothing to inject. */
const surfaceOnly = (work: Work) => [
  build(
    'gun',
    'Gun it in',
    placeAll(work),
    () => 'Into a chase over a backing rod, full to both walls, slightly hollow.',
  ),
  build('tool', 'Tool it', 10, () => 'A wet spatula, once. Pull the tape at once.'),
];

const injected = (work: Work) => [
  build(
    'ports',
    'Set the ports',
    5 + total(work, (i) => i.ports) * 2,
    () =>
      `${total(work, (i) => i.ports)} ports, centred on the crack, ${mm(spacing(work))} apart, the lowest at its lowest point. Paste round the foot, not into the port.`,
    { figures: ['ports', 'spacing'] },
  ),
  build(
    'seal',
    'Seal the crack',
    10 + total(work, (i) => i.sealMl) / 40,
    () => {
      const how = work.card.injection;
      return `${helperCode(work, 'port-seal')} in equal parts, a band ${mm(how?.sealWidthMm ?? 0)} wide and ${mm(how?.sealThickMm ?? 0)} thick over the crack${
        work.survey.damages.some((d) => d.shape === 'through') ? ', both faces' : ''
      }. Not into it.`;
    },
    {
      figures: ['supply.port-seal'],
      wrong: [{ sign: 'A pinhole in the band', remedy: 'Paste over it now: it blows out there.' }],
    },
  ),
  build(
    'seal-set',
    'Wait for the paste',
    0,
    () => 'Until a fingernail leaves no mark; and inject before its window ends.',
    {
      hold: {
        kind: 'countdown',
        label: 'Paste setting',
        minutes: helpMinutes(work, 'port-seal', 'tackFree'),
      },
    },
  ),
  build(
    'flush',
    'Flush',
    10,
    () =>
      'Water in at the top until it shows at each lower port: the crack is open. Note the ones that stay dry.',
    {
      wrong: [{ sign: 'A port stays dry', remedy: 'Drill it, or set one beside it.' }],
    },
  ),
  build(
    'inject',
    'Inject from the lowest',
    placeAll(work) + total(work, (i) => i.minutes),
    () =>
      `From the lowest port, slow, until it shows at the next; cap, go up. ${say(
        total(work, (i) => i.minutes),
        'time',
      )} in all: patience on hairlines. Two pairs of gloves, a face shield, nobody below.`,
    {
      people: 2,
      figures: ['resin', 'portMinutes'],
      wrong: [
        { sign: 'It blows out', remedy: 'Stop, seal the place, wait, go on slower.' },
        {
          sign: 'Takes and takes',
          remedy: 'It runs into the ground: stop, let it foam, come back.',
        },
      ],
    },
  ),
];

export const wallCrackMethod = defineMethod({
  family: 'F11',
  steps: (work: Work) => [
    isolate(work, {
      text: 'Level in the basin below the crack where it can be; confined space where a person goes in.',
    }),
    protect(),
    ...removeOld(work),
    gradeStep(work, work.card.injection?.sealWidthMm ?? 25, {
      text: 'A band brushed each side of the crack; the crack itself blown out.',
    }),
    own(
      'mark',
      'Mark the ports',
      10,
      () =>
        `Lowest first, every ${layouts(work).length > 0 ? mm(spacing(work)) : mm(150)}; measure the width at each.`,
      {
        hold: { kind: 'photo', label: 'Crack with its marks' },
      },
    ),
    own(
      'dry',
      'Dry the band',
      5,
      () => 'The band dry for the paste; the crack may be wet where the card allows.',
    ),
    gate(work),
    ...mixSteps(work),
    ...(work.card.injection ? injected(work) : surfaceOnly(work)),
    leave(work),
    ...(work.card.injection
      ? [
          during(
            'strip',
            'handle',
            'Strip the ports',
            15,
            () => 'When the foam is set: ports off, paste ground flush, holes filled.',
          ),
        ]
      : []),
    lookAndTap('Resin showed at every port. No damp line after the level is back.', [
      {
        sign: 'A damp line',
        remedy: 'Drill a port there, inject again with what is left of the life of the next pair.',
      },
    ]),
    inspect(
      'head',
      'Fill and watch',
      30,
      () => 'Level back up in two steps; look after half an hour at each, and next morning.',
    ),
    tidy(work),
  ],
  needs: (work) =>
    work.card.injection
      ? [
          {
            kind: 'help',
            help: 'port-seal',
            for: 'sealing the crack and the ports',
            ml: total(work, (i) => i.sealMl),
            paths: work.bodies.flatMap((b) => b.body.paths),
          },
          {
            kind: 'plain',
            id: 'ports',
            name: 'Ports with caps',
            for: 'injection',
            amount: total(work, (i) => i.ports),
            quantity: 'count',
          },
        ]
      : [],
  figures: (work) => {
    const all = layouts(work);
    if (all.length === 0) return [];
    const working = all.flatMap((i) => i.working);
    const paths = work.bodies.flatMap((b) => b.body.paths);
    const end = closing(working);
    const [ports, resin, minutes] = [
      total(work, (i) => i.ports),
      total(work, (i) => i.resinMl),
      total(work, (i) => i.minutes),
    ];
    return [
      figureOf('ports', 'Ports', ports, 'count', end('n', 'ports', ports), paths),
      figureOf(
        'spacing',
        'Apart',
        spacing(work),
        'length',
        end('s', 'apart', spacing(work), 'mm'),
        paths,
      ),
      figureOf('resin', 'Resin', resin, 'volume', end('V', 'resin', resin, 'ml'), paths),
      figureOf(
        'portMinutes',
        'At the ports',
        minutes,
        'time',
        end('t', 'at the ports', minutes, 'min'),
        paths,
      ),
    ];
  },
  removal: () => [
    'What is in the wall stays; the band and ports are ground off.',
    'A later crack beside it gets its own ports.',
  ],
  cautions: ['silica', 'injection', 'water'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
