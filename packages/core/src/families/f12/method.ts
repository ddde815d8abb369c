import { line } from '../../calc/calc';
import { joined, m, minutes, mm } from '../../message/message';
import { fingernail, returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, coatRounds, coatSteps } from '../../methods/build';
import { leave } from '../../methods/cure';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds, setsInWater } from '../../methods/gate';
import {
  degrease,
  degreaserNeed,
  drillEnds,
  dustOff,
  gradeStep,
  wipe,
  wipeNeed,
} from '../../methods/prep';
import { momentText } from '../../methods/when';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { figureOf } from '../../work/figure';
import { solidsFor } from '../../work/weighing';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { TankSurvey } from './survey';

const stepIds = [
  'which-plastic',
  'vee',
  'own-wipe',
  'plug-outlets',
  'back-hole',
  'lid',
  'fill',
] as const;
const step = stepsOf(stepIds);
type W = Work<TankSurvey>;

const LOOK_DAYS = { lasting: 120, stopgap: 7 };
/** Watch time of the outside while the tank is full of water, minutes. */
const WATCH_MIN = 30;
/** The shell is roughened and built over this many wall thicknesses beyond the damage. */
const LAP_WALLS = 3;

const dissolved = ({ card }: W) => card.mix.kind === 'dissolved';
const cracks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'crack').length;
const holes = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'hole').length;
const reach = ({ survey, site }: W) =>
  Math.max(site.extentMm, ...survey.damages.map((d) => d.wallMm * LAP_WALLS));

export const method: Method<TankSurvey> = {
  stepIds,
  figureIds: ['pellets', 'solvent'],
  schools: ['wet'],
  cautions: ['no-ignition', 'no-ship'],
  nextLookDays: LOOK_DAYS,
  removal: (work) => [
    dissolved(work)
      ? m('It is one with the shell: it is cut out with it.')
      : m('Chisel the putty out; key and fill again.'),
  ],
  draft: (work) => {
    const { survey, demand } = work;
    const rounds = coatRounds(work, { areaMm2: 0, overfillPct: 0 });
    const last = rounds[rounds.length - 1] as Round;
    const ready = [notBefore(last, demand.needed)];
    // A material that sets under water needs no draining if that was chosen.
    const wet = setsInWater(work) && work.schools.wet === 'wet';
    const lap = reach(work);
    return {
      rounds,
      steps: [
        isolate(work, {
          extra: wet
            ? m('Level as it is; inlet and outlet shut. Never enter a tank without a permit.')
            : m(
                'Empty, flush until neutral, outlets blanked. Never enter a tank without a permit.',
              ),
        }),
        protect(
          work,
          dissolved(work)
            ? {
                extra: m(
                  'No flame, no spark, no hot surface within five metres; air blown through.',
                ),
              }
            : undefined,
        ),
        ...removeOld(work),
        step.prep(
          'which-plastic',
          'look',
          'Which plastic is it',
          5,
          dissolved(work)
            ? m(
                'A drop of the solvent on a hidden place: it must go tacky. If it does not, it is another plastic and this filler lets go.',
              )
            : m('Read the mark on the shell: it decides what holds.'),
        ),
        degrease(work, { extra: m('Mould release comes off first: plastic is born with it on.') }),
        ...(cracks(work) > 0 ? [drillEnds(cracks(work), false)] : []),
        step.prep(
          'vee',
          'open-up',
          'Open it up',
          10 * survey.damages.length,
          m('Vee it out from the outside, not through: the filler keys on the slope.'),
        ),
        gradeStep(work, lap),
        dustOff(),
        step.prep(
          'plug-outlets',
          'dam',
          'Plug every outlet',
          10,
          m(
            'Each outlet and every hole below plugged before anything is poured: what runs in sets in the pipe.',
          ),
          { uses: ['plugs'] },
        ),
        ...(holes(work) > 0
          ? [
              step.prep(
                'back-hole',
                'dam',
                'Back the hole',
                5 * holes(work),
                m(
                  'A backing with film behind {n, plural, one {the hole} other {each hole}}, held tight.',
                  { n: holes(work) },
                ),
                { uses: ['plugs'] },
              ),
            ]
          : []),
        wet
          ? step.prep(
              'own-wipe',
              'wipe',
              'Wipe what it stands',
              5,
              m('A clean cloth, under water too: no slime, no skin.'),
            )
          : wipe(work, {
              extra: dissolved(work)
                ? m('Then the filler’s own solvent, one way, once. Dry.')
                : false,
            }),
        ...beforeMixing(work),
        ...coatSteps(work, rounds, {
          first: dissolved(work)
            ? m('Press it into the vee, lid on between; thin coats, each let go hard,')
            : m('Knead to one colour, press it in so that it keys behind,'),
          last: m('Lay it {lap} past the damage and feather it.', { lap: mm(lap) }),
          people: 1,
        }),
        step.build(last, 'lid', 'tidy', 'Lid on', 2, m('Lid on at once.')),
        cleanTools(last),
        leave(
          work,
          last,
          dissolved(work)
            ? joined([
                m('Hard soon, but long from cured: water {when}, longer where it is thick.', {
                  when: momentText(last, 'immersion'),
                }),
              ])
            : m('A stop-gap: quick, and to be redone.'),
        ),
        lookAndTap(ready, 'No pit, no white edge, no bubble. Tap: one sound with the shell.', [
          wrong('Soft under the skin', 'Solvent is still in it: wait; warm air, no flame.'),
          wrong('White and brittle edge', 'Another plastic: off with it, find out which.'),
        ]),
        fingernail(work),
        step.inspect(
          'fill',
          'Fill and watch',
          WATCH_MIN,
          m('Water first: to half, then full. Dry outside for {wait}, then the product.', {
            wait: minutes(WATCH_MIN),
          }),
          {
            timed: { label: m('Full of water'), minutes: WATCH_MIN, times: 1 },
            after: ready,
            wrong: [wrong('It weeps', 'Empty, dry, key, lay over from the outside.')],
          },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the shell')),
        ...(wet ? [] : [wipeNeed(work, m('the keyed shell'))]),
        {
          kind: 'plain',
          id: 'plugs',
          name: 'Plugs, backing and tape',
          for: m('every outlet and hole'),
          amount: 1 + holes(work),
          quantity: 'count',
        },
        ...heldNeeds(work),
      ],
      figures: () => {
        const { mix } = work.card;
        if (mix.kind !== 'dissolved') return [];
        const paths = [...work.bodies.flatMap((b) => b.body.paths), 'surface.slope'];
        const sum = (of: (b: Round['batches'][number]) => number | null) =>
          rounds.reduce((s, r) => s + r.batches.reduce((t, b) => t + (of(b) ?? 0), 0), 0);
        const [pellets, solventG, ml] = [sum((b) => b.aG), sum((b) => b.bG), sum((b) => b.ml)];
        const common = [
          line('V', 'filler', 'all coats', ml, 'ml'),
          line(
            's',
            'solids',
            survey.surface.slope === 'level' ? 'syrup for a flat' : 'paste for a wall',
            solidsFor(mix, survey.surface.slope) * 100,
            '%',
            `card ${work.card.code}`,
          ),
        ];
        const solventMl = solventG / mix.solventDensityGml;
        return [
          figureOf(
            'pellets',
            'Pellets',
            pellets,
            'mass',
            [...common, line('mp', 'pellets', `V·${mix.density}·s`, pellets, 'g')],
            paths,
          ),
          figureOf(
            'solvent',
            'Solvent',
            solventMl,
            'volume',
            [
              ...common,
              line('ms', 'solvent', `V·${mix.density}·(1 − s)`, solventG, 'g'),
              line('Vs', 'solvent', `ms/${mix.solventDensityGml}`, solventMl, 'ml'),
            ],
            paths,
          ),
        ];
      },
    };
  },
};
