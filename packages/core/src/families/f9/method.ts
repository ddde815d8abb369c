import { formatFigure, line } from '../../calc/calc';
import { m, mm, q } from '../../message/message';
import { fingernail, returnToService, lookAndTap } from '../../methods/accept';
import { cleanTools, overcoat } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { filmRound, wetUmOf } from '../../methods/film';
import { aggregateG, mixSteps, mixTouch, waterMl } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { degrease, degreaserNeed, dustOff, gradeStep } from '../../methods/prep';
import { notBefore, wrong } from '../../methods/step';
import { momentText } from '../../methods/when';
import { figureOf, type Figure } from '../../work/figure';
import type { Round } from '../../work/round';
import { aidName } from '../../work/aids';
import type { Method } from '../../family/family';
import { bags, coats, coatSteps, floorMm2, has, isPowder, step, stepIds } from './coats';
import type { FloorPatchSurvey } from './survey';

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Parts of water for one part of etch cleaner. */
const ETCH_PARTS = 10;
/** A crack under a floor is chased to this size and filled, mm. */
const CHASE = { widthMm: 5, depthMm: 15 };
const SEAL_COATS = 2;
const EDGE_MM = 10;
const LEVEL_MM = 3;

export const method: Method<FloorPatchSurvey> = {
  stepIds,
  figureIds: ['bags', 'water', 'sealWet'],
  schools: [],
  cautions: ['silica', 'acid-etch'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Saw its edge, break it out; it comes with a skin of the old floor.')],
  draft: (work) => {
    const { survey, demand, card } = work;
    const cracksMm = survey.floor.cracksMm ?? 0;
    const crackCard =
      cracksMm > 0 ? work.second({ purpose: 'crack', wetted: false, under: card }) : null;
    const crack = crackCard
      ? work.round({
          id: 'crack',
          purpose: 'crack',
          title: m('Cracks first'),
          ...crackCard,
          netMl: (cracksMm * CHASE.widthMm * CHASE.depthMm) / 1000,
          buildMm: CHASE.depthMm,
          paths: ['floor.cracksMm'],
          working: () => [
            line(
              'V',
              'cracks',
              `${formatFigure(cracksMm)}·${CHASE.widthMm}·${CHASE.depthMm}`,
              (cracksMm * CHASE.widthMm * CHASE.depthMm) / 1000,
              'ml',
              'survey',
            ),
          ],
          touches: [mixTouch(crackCard.card), { name: 'crack-fill', placing: 1 }],
          needed: null,
        })
      : null;
    const rounds = coats(work);
    const last = rounds[rounds.length - 1] as Round;
    const seals = isPowder(work)
      ? Array.from({ length: SEAL_COATS }, (_, i) =>
          filmRound(work, {
            id: `seal-${i + 1}`,
            purpose: 'seal',
            title: m('Sealer, coat {n}', { n: i + 1 }),
            areaMm2: floorMm2(work),
            touch: 'seal',
            wetted: true,
            // Applied over the mortar once that is dry.
            need: { damp: 'dry' },
            needed: i === SEAL_COATS - 1 ? demand.needed : null,
          }),
        )
      : [];
    const end = seals[seals.length - 1] ?? last;
    const stone = rounds.reduce((s, r) => s + aggregateG(r), 0);
    const ready = [notBefore(end, demand.needed)];
    return {
      rounds: [...(crack ? [crack] : []), ...rounds, ...seals],
      steps: [
        isolate(work, {
          minutes: 10,
          extra: m('Close the area; drains covered, power in the floor found and dead.'),
        }),
        protect(work, { extra: m('Film on machines and drains.') }),
        ...removeOld(work),
        degrease(work),
        ...(has(work, 'patch')
          ? [
              step.prep(
                'cut',
                'abrade',
                'Cut the edges straight',
                25 * survey.damages.filter((d) => d.shape === 'patch').length,
                m(
                  'Saw a straight edge, {deep} deep or more, break out to sound: no feather edge round a patch. Wet, and a P3 mask.',
                  { deep: mm(EDGE_MM) },
                ),
                {
                  sparks: survey.site.area === 'safe',
                },
              ),
            ]
          : []),
        gradeStep(work, 0),
        dustOff('Vacuum all of it, edges last. Dust is a release agent.'),
        step.prep(
          'etch',
          'wet',
          'Clean and etch',
          15,
          m(
            '{aid}, one part into {parts} of water, acid into water. Brush until it stops fizzing.',
            { aid: aidName(work, 'etch'), parts: ETCH_PARTS },
          ),
          { uses: ['etch'], figures: ['supply.etch'] },
        ),
        step.prep(
          'neutral',
          'wet',
          'Wash and neutralise',
          15,
          m('Wash twice. Soda in the second; then water until the paper says neutral, pH {ph}.', {
            ph: 7,
          }),
          {
            wrong: [
              wrong('Paper under pH 7', 'Wash again: what is left of the acid eats the bond.'),
            ],
          },
        ),
        ...(isPowder(work)
          ? []
          : [
              step.prep(
                'dry',
                'dry',
                'Dry it',
                15,
                m('Dry to the card; tape a film over it: no fog.'),
              ),
            ]),
        ...beforeMixing(work),
        ...(crack
          ? [
              ...mixSteps(work, crack),
              step.touch(
                crack,
                'crack-fill',
                'Fill the cracks',
                m(
                  '{card} into every crack, chased {wide} by {deep}, struck flush: they come through what is laid over them.',
                  { card: crack.card.code, wide: mm(CHASE.widthMm), deep: mm(CHASE.depthMm) },
                ),
                { people: 1, figures: ['round.crack.total'] },
              ),
              waitFor(crack, 'tackFree', 'Is the crack hard', m('A fingernail leaves no mark.')),
            ]
          : []),
        ...coatSteps(work, rounds),
        cleanTools(last),
        ...seals.flatMap((seal, i) => {
          const before = seals[i - 1];
          return [
            ...mixSteps(work, seal, [
              before
                ? overcoat(work, before)
                : {
                    round: last.id,
                    at: 'overcoatOpens' as const,
                    until: 'overcoatCloses' as const,
                    missed: 'abrade' as const,
                    why: m('Sealed when the mortar is dry enough by its card.'),
                  },
            ]),
            step.touch(
              seal,
              'seal',
              seal.title,
              m(
                '{card} by roller, {wet} wet, {cross, select, yes {across the first} other {thin}}. Dry before it rains on it.',
                {
                  card: seal.card.code,
                  wet: q(wetUmOf(seal), 'thinFilm'),
                  cross: i > 0 ? 'yes' : 'no',
                },
              ),
              {
                people: 1,
                figures: ['sealWet', `round.${seal.id}.total`],
                wrong: [wrong('White bloom under it', 'Sealed too wet: strip, wait, seal again.')],
              },
            ),
          ];
        }),
        leave(
          work,
          end,
          isPowder(work)
            ? m('Film over the mortar, or fog it, until it is sealed: no draught, no sun.')
            : m('No draught, no sun, no foot.'),
        ),
        lookAndTap(
          ready,
          'Edges level, no map of cracks, no dust. Drag a chain over it: one sound.',
          [
            wrong('It drums', 'It has let go: cut that part out square, wet it better.'),
            wrong('It dusts', 'Too wet or dried too fast: harden it, or overlay.'),
          ],
        ),
        fingernail(work),
        step.inspect(
          'level',
          'Straight edge and water',
          8,
          m(
            'Two metres, four ways, {gap} at most; then a pail of water: it runs to the drain, none stands.',
            { gap: mm(LEVEL_MM) },
          ),
          {
            hold: {
              kind: 'reading',
              label: m('Widest gap'),
              quantity: 'length',
              min: null,
              max: LEVEL_MM,
            },
          },
        ),
        step.inspect(
          'open-traffic',
          'Say when it opens',
          2,
          m(
            'Feet {foot}, wheels {wheels}{sealed, select, yes {; the sealer: feet {sealFoot}, wheels {sealWheels}} other {}}.',
            {
              foot: momentText(last, 'lightLoad'),
              wheels: momentText(last, 'fullLoad'),
              sealed: seals.length > 0 ? 'yes' : 'no',
              sealFoot: momentText(end, 'lightLoad'),
              sealWheels: momentText(end, 'fullLoad'),
            },
          ),
          { does: 'tidy' },
        ),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the floor')),
        {
          kind: 'aid',
          use: 'etch',
          for: m('the floor, 1 in {n}', { n: ETCH_PARTS + 1 }),
          areaMm2: floorMm2(work) / (ETCH_PARTS + 1),
        },
        ...(isPowder(work)
          ? [
              {
                kind: 'plain' as const,
                id: 'water',
                name: 'Clean water',
                for: m('mixing'),
                amount: waterMl(rounds),
                quantity: 'volume' as const,
              },
            ]
          : []),
        ...(stone > 0
          ? [
              {
                kind: 'plain' as const,
                id: 'aggregate',
                name: 'Clean dry aggregate',
                for: m('extending the deep fill'),
                amount: stone,
                quantity: 'mass' as const,
              },
            ]
          : []),
        ...heldNeeds(work),
      ],
      figures: (): Figure[] => {
        const made = bags(work, rounds);
        const paths = work.bodies.flatMap((b) => b.body.paths);
        const [seal] = seals;
        const water = waterMl(rounds);
        return [
          ...(made
            ? [
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
                  water,
                  'volume',
                  [...made.working, line('Vw', 'water', 'batch by batch', water, 'ml')],
                  paths,
                ),
              ]
            : []),
          ...(seal
            ? [
                figureOf('sealWet', 'Sealer, wet film', wetUmOf(seal), 'thinFilm', [
                  line(
                    'WFT',
                    'wet film a coat',
                    'as on the card',
                    wetUmOf(seal),
                    'µm',
                    `card ${seal.card.code}`,
                  ),
                ]),
              ]
            : []),
        ];
      },
    };
  },
};
