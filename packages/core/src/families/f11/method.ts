import type { Worked } from '../../calc/calc';
import { injection, type Injection } from '../../cracks/injection';
import { m, minutes, mm } from '../../message/message';
import { returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, mainSpec } from '../../methods/build';
import { crackNeeds, rodStep } from '../../methods/crack';
import { leave, waitFor } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { dustOff, gradeStep } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { closing, figureOf } from '../../work/figure';
import type { Draft } from '../../work/step';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { WallCrackSurvey } from './survey';

const stepIds = [
  'mark-ports',
  'chase',
  'gun',
  'tool',
  'ports',
  'band',
  'flush',
  'inject',
  'strip-ports',
  'head',
] as const;
const step = stepsOf(stepIds);
type W = Work<WallCrackSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Minutes to paste on one port, and for each litre of paste of the band along it. */
const PORT_MIN = 1.5;
/** Paste under the foot of one port, ml. */
const FOOT_ML = 6;
/** Watch time at each level of a basin while it is filled, minutes. */
const WATCH_MIN = 30;

/** Both faces are sealed where both are accessible. */
const layouts = ({ survey, card }: W): Worked<Injection>[] => {
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
      lossPct: 0,
      expansion: how.expansion,
      minutesPerPort: how.minutesPerPort,
    }),
  );
};

/** A sealant is applied into a chase; nothing is injected. */
function surfaceDraft(work: W): Draft {
  const { survey, demand } = work;
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'fill',
      title: m('Bead'),
      areaMm2: 0,
      touches: [mixTouch(work.card), { name: 'gun', placing: 1 }, { name: 'tool', placing: 0.2 }],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  const metres = survey.damages.reduce((s, d) => s + d.lengthMm, 0) / 1000;
  return {
    rounds: [main],
    steps: [
      isolate(work, {
        extra: m(
          'Level in the basin below the crack where it can be; confined space where a person goes in.',
        ),
      }),
      protect(work),
      ...removeOld(work),
      step.prep(
        'chase',
        'abrade',
        'Chase it',
        10 + metres * 4,
        m('A square chase along it, {deep} deep. Wet, or with extraction, and a P3 mask.', {
          deep: mm(work.buildMm),
        }),
        { sparks: survey.site.area === 'safe' },
      ),
      gradeStep(work, 20),
      dustOff(),
      ...rodStep(work, survey.damages),
      ...beforeMixing(work),
      ...mixSteps(work, main),
      step.touch(
        main,
        'gun',
        'Gun it in',
        m('Into the chase over a backing rod, full to both walls, slightly hollow.'),
        { people: 1 },
      ),
      step.touch(main, 'tool', 'Tool it', m('A wet spatula, once. Pull the tape at once.'), {
        people: 1,
      }),
      cleanTools(main),
      leave(work, main),
      lookAndTap(ready, 'Stuck to both walls, no bubble, no gap.'),
      head(),
      ...returnToService(work, LOOK_DAYS[survey.intent]),
    ],
    needs: [...crackNeeds(work, survey.damages), ...heldNeeds(work)],
    figures: () => [],
  };
}

const head = () =>
  step.inspect(
    'head',
    'Fill and watch',
    2 * WATCH_MIN,
    m('Level back up in two steps; look after {wait} at each, and next morning.', {
      wait: minutes(WATCH_MIN),
    }),
    { timed: { label: m('At this level'), minutes: WATCH_MIN, times: 2 } },
  );

function injectedDraft(work: W): Draft {
  const { survey, demand, card } = work;
  const all = layouts(work);
  const total = (of: (i: Injection) => number) => all.reduce((s, i) => s + of(i), 0);
  const ports = total((i) => i.ports);
  const atPorts = total((i) => i.minutes);
  const spacing = Math.min(...all.map((i) => i.spacingMm));
  const how = card.injection;
  const both = survey.damages.some((d) => d.shape === 'through');
  const second = work.second({ purpose: 'port-paste', wetted: false, damp: 'damp' });
  const paste = work.round({
    id: 'paste',
    purpose: 'port-paste',
    title: m('Ports and paste'),
    ...second,
    netMl: total((i) => i.sealMl) + ports * FOOT_ML,
    buildMm: how?.sealThickMm ?? 4,
    paths: work.bodies.flatMap((b) => b.body.paths),
    working: () => all.flatMap((i) => i.working),
    touches: [
      mixTouch(second.card),
      { name: 'ports', spread: ports * PORT_MIN },
      { name: 'band', placing: 1 },
    ],
    needed: null,
  });
  const resinMl = total((i) => i.resinMl);
  const main = work.round(
    mainSpec(work, {
      id: 'main',
      purpose: 'resin',
      title: m('Resin'),
      netMl: resinMl,
      areaMm2: 0,
      working: () => all.flatMap((i) => i.working),
      // At the ports the card's pouring rate does not count, but the minutes at each port.
      touches: [mixTouch(card), { name: 'inject', spread: atPorts }],
    }),
  );
  const ready = [notBefore(main, demand.needed)];
  return {
    rounds: [paste, main],
    steps: [
      isolate(work, {
        extra: m(
          'Level in the basin below the crack where it can be; confined space where a person goes in.',
        ),
      }),
      protect(work),
      ...removeOld(work),
      gradeStep(work, how?.sealWidthMm ?? 25, {
        extra: m('A band brushed each side of the crack.'),
      }),
      dustOff('Crack and band blown out with oil-free air, then vacuumed.'),
      step.prep(
        'mark-ports',
        'look',
        'Mark the ports',
        5 + ports,
        m(
          'Lowest first, {n} ports, {apart} apart, centred on the crack; measure the width at each.',
          { n: ports, apart: mm(spacing) },
        ),
        {
          hold: { kind: 'photo', label: m('Crack with its marks') },
          figures: ['ports', 'spacing'],
        },
      ),
      step.prep(
        'dry',
        'dry',
        'Dry the band',
        10,
        m('The band dry for the paste; the crack may be wet where the card allows.'),
      ),
      ...beforeMixing(work),
      ...mixSteps(work, paste),
      step.touch(
        paste,
        'ports',
        'Set the ports',
        m(
          '{n} ports in all, the lowest at its lowest point. Paste round the foot, not into the port.',
          { n: ports },
        ),
        { uses: ['ports'], figures: ['ports', 'spacing'] },
      ),
      step.touch(
        paste,
        'band',
        'Seal the crack',
        m(
          '{card} in a band {wide} wide and {thick} thick over the crack{both, select, yes {, both faces} other {}}. Not into it.',
          {
            card: paste.card.code,
            wide: mm(how?.sealWidthMm ?? 0),
            thick: mm(how?.sealThickMm ?? 0),
            both: both ? 'yes' : 'no',
          },
        ),
        {
          figures: ['round.paste.total'],
          wrong: [wrong('A pinhole in the band', 'Paste over it now: it blows out there.')],
        },
      ),
      waitFor(
        paste,
        'tackFree',
        'Wait for the paste',
        m('Until a fingernail leaves no mark; and inject before its window ends.'),
      ),
      step.build(
        paste,
        'flush',
        'wet',
        'Flush',
        10,
        m(
          'Water in at the top until it shows at each lower port: the crack is open. Note the ones that stay dry.',
        ),
        {
          wrong: [wrong('A port stays dry', 'Drill it, or set one beside it.')],
        },
      ),
      ...mixSteps(work, main, [
        {
          round: paste.id,
          at: 'tackFree',
          until: 'overcoatCloses',
          missed: 'abrade',
          why: m('Paste fingernail hard, and not past its window.'),
        },
      ]),
      step.touch(
        main,
        'inject',
        'Inject from the lowest',
        m(
          'From the lowest port, slow, about {port} at each, until it shows at the next; cap, go up. {each} a batch, {all} in all: patience on hairlines. Two pairs of gloves, a face shield, nobody below.',
          {
            port: minutes(atPorts / ports),
            each: minutes(atPorts / Math.max(1, main.batches.length)),
            all: minutes(atPorts),
          },
        ),
        {
          figures: ['resin', 'portMinutes'],
          ...(atPorts > 0
            ? { timed: { label: m('At a port'), minutes: atPorts / ports, times: ports } }
            : {}),
          wrong: [
            wrong('It blows out', 'Stop, seal the place, wait, go on slower.'),
            wrong('Takes and takes', 'It runs into the ground: stop, let it foam, come back.'),
          ],
        },
      ),
      cleanTools(main),
      leave(work, main),
      step.during(
        main,
        'strip-ports',
        'handle',
        'Strip the ports',
        5 + ports,
        m(
          'When the foam is set: ports off, paste scraped flush, holes filled with what is left of the paste or a stop.',
        ),
      ),
      lookAndTap(ready, 'Resin showed at every port. No damp line after the level is back.', [
        wrong(
          'A damp line',
          'Drill a port there, inject again with what is left of the life of the next pair.',
        ),
      ]),
      head(),
      ...returnToService(work, LOOK_DAYS[survey.intent]),
    ],
    needs: [
      {
        kind: 'plain',
        id: 'ports',
        name: 'Ports with caps',
        for: m('injection'),
        amount: ports,
        quantity: 'count',
      },
      ...heldNeeds(work),
    ],
    figures: () => {
      const end = closing(all.flatMap((i) => i.working));
      const paths = work.bodies.flatMap((b) => b.body.paths);
      return [
        figureOf('ports', 'Ports', ports, 'count', end('n', 'ports', ports), paths),
        figureOf('spacing', 'Apart', spacing, 'length', end('s', 'apart', spacing, 'mm'), paths),
        figureOf(
          'resin',
          'Resin in the wall',
          resinMl,
          'volume',
          end('V', 'resin', resinMl, 'ml'),
          paths,
        ),
        figureOf(
          'portMinutes',
          'At the ports',
          atPorts,
          'time',
          end('t', 'at the ports', atPorts, 'min'),
          paths,
        ),
      ];
    },
  };
}

export const method: Method<WallCrackSurvey> = {
  stepIds,
  figureIds: ['ports', 'spacing', 'resin', 'portMinutes'],
  schools: ['moving'],
  cautions: ['silica', 'injection', 'water'],
  nextLookDays: LOOK_DAYS,
  removal: () => [
    m('What is in the wall stays; the band and ports are ground off.'),
    m('A later crack beside it gets its own ports.'),
  ],
  draft: (work) => (work.card.injection ? injectedDraft(work) : surfaceDraft(work)),
};
