import { fig, line, type WorkingLine } from '../calc/calc';
import { mortarBatch } from '../mix/mortarBatch';
import { figureOf } from '../plan/figure';
import type { StepDraft } from '../plan/step';
import { aidCode } from '../plan/supplies';
import { AGGREGATE_KGL, waterPerBag } from '../plan/weighing';
import { consistencyOf, crewOf, minutesTo, type WorkUp } from '../plan/workUp';
import type { SurveyOf } from '../survey/survey';
import { say } from '../units/format';
import { defineMethod } from './method';
import { fingernail, inspect, lookAndTap, tidy } from './parts/accept';
import { build, placeMinutes } from './parts/build';
import { during, leave } from './parts/cure';
import { mixSteps } from './parts/mix';
import { gate, gradeStep, isolate, mm, own, protect, removeOld } from './parts/prep';

type Work = WorkUp<SurveyOf<'F9'>>;

const isPowder = ({ card }: Work) => card.mix.kind === 'powder-water';
const has = ({ survey }: Work, shape: 'patch' | 'overlay' | 'coving') =>
  survey.damages.some((d) => d.shape === shape);
const floorArea = ({ survey }: Work) =>
  survey.damages.reduce(
    (sum, d) => sum + d.lengthMm * (d.shape === 'coving' ? d.legMm * 2 : d.widthMm),
    0,
  );
/** Etch cleaner goes on one part in this many of water. */
const ETCH_PARTS = 10;

/** Bags, water and aggregate for all coats, each with its own water. */
function mortar(work: Work) {
  const { card, coats, grossMl, aggregatePct } = work;
  const { mix } = card;
  if (mix.kind !== 'powder-water') return null;
  const each = Array.from({ length: coats }, (_, i) =>
    mortarBatch({
      volumeL: grossMl / 1000 / coats,
      bagKg: mix.bagKg,
      yieldLPerBag: mix.yieldLPerBag,
      waterLPerBag: waterPerBag(mix, consistencyOf(work, i + 1)),
      aggregatePct,
      aggregateDensityKgL: AGGREGATE_KGL,
      wastePct: 0,
    }),
  );
  const sum = (of: (m: (typeof each)[number]) => number) => each.reduce((s, m) => s + of(m), 0);
  return {
    bags: sum((m) => m.bags),
    waterL: sum((m) => m.waterL),
    aggregateKg: sum((m) => m.aggregateKg),
    working: each.flatMap((m, i): WorkingLine[] =>
      coats > 1 ? m.working.map((w) => ({ ...w, label: `coat ${i + 1}: ${w.label}` })) : m.working,
    ),
  };
}

const coatsOf = (work: Work) =>
  Array.from({ length: work.coats }, (_, i) => {
    const n = i + 1;
    const last = n === work.coats;
    const title =
      work.coats === 1
        ? 'Place and strike'
        : last
          ? 'Finish coat'
          : n === 1
            ? 'Base coat'
            : `Coat ${n}`;
    return build(
      `coat-${n}`,
      title,
      placeMinutes(work),
      () =>
        `${work.card.mix.kind === 'powder-water' && n === 1 ? 'Brush a scrub coat of it into the dark, damp concrete, then' : 'Then'} spread ${mm(work.coatMm)}, from the far end back. ${
          last
            ? has(work, 'overlay')
              ? 'Broom it one way while it holds the line.'
              : 'Strike off on the edges, float; feather a step into a gentle slope.'
            : 'Leave it rough.'
        }`,
      {
        people: crewOf(work),
        waitsFor: n === 1 ? null : 'overcoatOpens',
        figures: ['coats', 'coat', 'place'],
        wrong: [
          { sign: 'It drags', remedy: 'It is setting: stop, no water on it. Cut it square there.' },
          {
            sign: 'Cracks like a map',
            remedy: 'Dried too fast: film over it, fog it. Wide ones are cut out.',
          },
        ],
      },
    );
  });

/** Joints and high spots after the base and before what finishes it; after the only coat where there is one. */
function withJoints(coats: StepDraft[]): StepDraft[] {
  const joints = build(
    'joints',
    'Rake joints, scrape high spots',
    10,
    () => 'Joints and edges raked out before it is hard; high spots scraped with a straight edge.',
  );
  const last = coats.length > 1 ? coats.length - 1 : coats.length;
  return [...coats.slice(0, last), joints, ...coats.slice(last)];
}

export const floorPatchMethod = defineMethod({
  family: 'F9',
  steps: (work: Work) => [
    isolate(work, {
      minutes: 10,
      text: 'Close the area; drains covered, power in the floor found and dead.',
    }),
    protect({ text: 'Film on machines and drains.' }),
    ...removeOld(work),
    own(
      'cracks',
      'Cracks first',
      15,
      () => 'Fill what still cracks under it first, each by its own repair, or they come through.',
    ),
    ...(has(work, 'patch')
      ? [
          own(
            'cut',
            'Cut the edges straight',
            25,
            () =>
              `Saw a straight edge, ${mm(10)} deep or more, break out to sound: no feather edge round a patch.`,
          ),
        ]
      : []),
    gradeStep(work, 0, { text: 'Wet, or with extraction: the dust is silica.' }),
    own(
      'etch',
      'Clean and etch',
      15,
      () =>
        `${aidCode(work, 'etch')}, one part into ${ETCH_PARTS} of water, acid into water. Brush until it stops fizzing.`,
    ),
    own(
      'neutral',
      'Wash and neutralise',
      15,
      () => 'Wash twice. Soda in the second; then water until the paper says neutral.',
      {
        wrong: [
          {
            sign: 'Paper under pH 7',
            remedy: 'Wash again: what is left of the acid eats the bond.',
          },
        ],
      },
    ),
    own('ssd', isPowder(work) ? 'Dampen to SSD' : 'Dry it', 15, () =>
      isPowder(work)
        ? 'Soak, then let the water go: saturated, surface dry. Dark, no shine, no puddle.'
        : 'Dry to the card; tape a film over it: no fog.',
    ),
    gate(work),
    ...mixSteps(work),
    ...withJoints(coatsOf(work)),
    ...(has(work, 'coving')
      ? [
          build(
            'cove',
            'Run the cove',
            15,
            () => 'A bottle or a cove trowel, one stroke, wetted; ends feathered.',
          ),
        ]
      : []),
    leave(
      work,
      isPowder(work)
        ? 'Film over it, or fog it: no draught, no sun.'
        : 'No draught, no sun, no foot.',
    ),
    during(
      'seal',
      'tackFree',
      'Seal it',
      20,
      () =>
        'Sealer, two thin coats across each other, by roller, the second when the first is dry.',
      {
        wrong: [
          { sign: 'White bloom under it', remedy: 'Sealed too wet: strip, wait, seal again.' },
        ],
      },
    ),
    lookAndTap('Edges level, no map of cracks, no dust. Drag a chain over it: one sound.', [
      { sign: 'It drums', remedy: 'It has let go: cut that part out square, wet it better.' },
      { sign: 'It dusts', remedy: 'Too wet or dried too fast: harden it, or overlay.' },
    ]),
    fingernail(work),
    inspect(
      'level',
      'Straight edge and water',
      8,
      () => 'Two metres, four ways; then a pail of water: it runs to the drain, none stands.',
      {
        hold: { kind: 'reading', label: 'Widest gap', quantity: 'length', min: null, max: 3 },
      },
    ),
    inspect('open', 'Say when it opens', 2, () => {
      const at = (id: 'lightLoad' | 'fullLoad' | 'handle') => minutesTo(work, id);
      const [foot, wheels] = [at('handle'), at('fullLoad')];
      return `From the last mix: feet after ${foot === null ? 'the card’s time' : say(foot, 'time')}, wheels after ${wheels === null ? 'the card’s time' : say(wheels, 'time')}.`;
    }),
    tidy(work),
  ],
  needs: (work) => {
    const made = mortar(work);
    return [
      {
        kind: 'aid',
        use: 'etch',
        for: `the floor, 1 in ${ETCH_PARTS + 1}`,
        areaMm2: floorArea(work) / (ETCH_PARTS + 1),
      },
      ...(made
        ? [
            {
              kind: 'plain' as const,
              id: 'water',
              name: 'Clean water',
              for: 'mixing',
              amount: made.waterL * 1000,
              quantity: 'volume' as const,
              working: [
                ...made.working,
                line('Vw', 'water', `${fig(made.waterL)} l`, made.waterL * 1000, 'ml'),
              ],
            },
          ]
        : []),
      ...(made && made.aggregateKg > 0
        ? [
            {
              kind: 'plain' as const,
              id: 'aggregate',
              name: 'Clean dry aggregate',
              for: 'extending the deep fill',
              amount: made.aggregateKg * 1000,
              quantity: 'mass' as const,
              working: [
                ...made.working,
                line(
                  'ma',
                  'aggregate',
                  `${fig(made.aggregateKg)} kg`,
                  made.aggregateKg * 1000,
                  'g',
                ),
              ],
            },
          ]
        : []),
      { kind: 'help', help: 'seal', for: 'sealing, two coats', ml: (floorArea(work) / 1e6) * 300 },
    ];
  },
  figures: (work) => {
    const made = mortar(work);
    if (!made) return [];
    const paths = work.bodies.flatMap((b) => b.body.paths);
    return [
      figureOf(
        'bags',
        'Bags',
        made.bags,
        'count',
        [...made.working, line('n', 'bags in all', 'from above', made.bags)],
        paths,
      ),
      figureOf(
        'water',
        'Water',
        made.waterL * 1000,
        'volume',
        [...made.working, line('Vw', 'water', 'from above', made.waterL * 1000, 'ml')],
        paths,
      ),
    ];
  },
  removal: () => ['Saw its edge, break it out; it comes with a skin of the old floor.'],
  cautions: ['silica', 'acid-etch'],
  nextLookDays: { lasting: 180, stopgap: 30 },
});
