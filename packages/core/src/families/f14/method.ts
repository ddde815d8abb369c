import { line } from '../../calc/calc';
import { gritLadder } from '../../film/gritLadder';
import { celsius, m, mm, q } from '../../message/message';
import { fingernail, returnToService, lookAndTap, thickness } from '../../methods/accept';
import {
  cleanTools,
  coatRounds,
  coatSteps,
  mainSpec,
  overcoat,
  isStruckFlush,
} from '../../methods/build';
import { leave } from '../../methods/cure';
import { filmRound, wetUmOf } from '../../methods/film';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import { dustOff, gradeStep, wipe, wipeNeed } from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { figureOf } from '../../work/figure';
import type { Round } from '../../work/round';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { PanelSurvey } from './survey';

const stepIds = ['wash', 're-mask', 'level-fill', 'demask', 'sand', 'topcoat', 'polish'] as const;
const step = stepsOf(stepIds);
type W = Work<PanelSurvey>;

const LOOK_DAYS = { lasting: 180, stopgap: 30 };
/** Dry topcoat over a filled place, µm; in coats no thicker than its card allows for the slope. */
const TOP_UM = 80;
const LADDER = { from: 320, to: 1500, maxStep: 2 } as const;
const BLOCK_GRIT = 'P240';

/** A paint without a filler: it is applied in thin coats. */
const paints = ({ card }: W) => card.layer.volumeSolidsPct < 100;
const areaMm2 = ({ survey }: W) => survey.damages.reduce((s, d) => s + d.lengthMm * d.widthMm, 0);
const grits = () =>
  gritLadder({ ...LADDER })
    .grits.map((g) => `P${g}`)
    .join(', ');

/** Thin coats of a paint, each by its own dry film and the card’s volume solids. */
function topRounds(work: W): Round[] {
  const need = { damp: 'dry' } as const;
  const card = work.second({ purpose: 'topcoat', wetted: true, ...need }).card;
  const most = card.layer.maxMm[work.survey.surface.slope] * 1000;
  const n = Math.max(card.layer.leastCoats, Math.ceil(TOP_UM / most - 1e-9));
  return Array.from({ length: n }, (_, i) =>
    filmRound(work, {
      id: `top-${i + 1}`,
      purpose: 'topcoat',
      title: m('Topcoat {i} of {n}', { i: i + 1, n }),
      areaMm2: areaMm2(work),
      touch: 'topcoat',
      wetted: true,
      // Applied over the filler after it is sanded.
      need,
      dftUm: TOP_UM / n,
      needed: i === n - 1 ? work.demand.needed : null,
    }),
  );
}

export const method: Method<PanelSurvey> = {
  stepIds,
  figureIds: ['wet', 'topcoatL'],
  schools: ['proud'],
  cautions: ['height', 'lamp-heat'],
  nextLookDays: LOOK_DAYS,
  removal: () => [m('Sand it off to the old film from P120; stop before the fibre.')],
  draft: (work) => {
    const { survey, demand, card } = work;
    const solids = card.layer.volumeSolidsPct / 100;
    const fill = paints(work)
      ? coatRounds(work, { netMl: work.netMl / work.coats / solids, areaMm2: 0, overfillPct: 0 })
      : [
          work.round(
            mainSpec(work, {
              id: 'main',
              purpose: 'paste',
              title: m('Film paste'),
              areaMm2: 0,
              overfillPct: isStruckFlush(work) ? 0 : work.site.overfillPct,
              touches: [
                mixTouch(card),
                { name: 'level-fill', placing: 1 },
                { name: 'demask', fixed: 1 },
              ],
              needed: null,
            }),
          ),
        ];
    const main = fill[0] as Round;
    const tops = paints(work) ? [] : topRounds(work);
    const end = tops[tops.length - 1] ?? (fill[fill.length - 1] as Round);
    const ready = [notBefore(end, demand.needed)];
    const wetUm = tops[0] ? wetUmOf(tops[0]) : (main.buildMm * 1000) / solids;
    return {
      rounds: [...fill, ...tops],
      steps: [
        isolate(work, {
          minutes: 15,
          extra: m(
            'Stopped and pinned where it turns; a platform, no ladder, for two hands’ work.',
          ),
        }),
        protect(work),
        ...removeOld(work),
        step.prep(
          'wash',
          'wet',
          'Wash',
          8,
          m(
            'Water and soap, rinse, dry. Only the solvent the film stands touches it: try it on a corner.',
          ),
        ),
        step.prep(
          'mask',
          'mask',
          'Mask tight',
          8,
          m('Tape pressed tight, pull tabs on, a hand’s breadth of paper round it.'),
        ),
        gradeStep(work, 20, {
          extra: m(
            'Loose edges feathered with a fine-middle grit. Stop before the fibre shows; slight whitening is fine.',
          ),
          wrong: [
            wrong(
              'Fibre shows',
              'Stop: it is a laminate repair now, a structural engineer decides.',
            ),
          ],
        }),
        dustOff(),
        wipe(work, { extra: m('Lightly: a wet cloth lifts the film’s edge.') }),
        step.prep(
          're-mask',
          'mask',
          'Mask again',
          5,
          m('Fresh tape, inside the sanded edge, with its tab. No hand on what is wiped.'),
        ),
        ...beforeMixing(work),
        ...(paints(work)
          ? coatSteps(work, fill, {
              first: m('Thin, from wet to dry, feathered inside the tape line, {wet} wet;', {
                wet: q(wetUm, 'thinFilm'),
              }),
              last: m('Flash off between coats.'),
              people: 1,
            })
          : [
              ...mixSteps(work, main),
              step.touch(
                main,
                'level-fill',
                'Fill it',
                m(
                  'From one end, the nozzle in it, no air under it. Squeegee level over the tape, {deep} deep.',
                  { deep: mm(work.buildMm) },
                ),
                {
                  people: 1,
                  figures: ['coat'],
                  wrong: [wrong('A pinhole', 'Prick and fill it now.')],
                },
              ),
              step.touch(
                main,
                'demask',
                'Demask wet',
                m('Tape off by its tab while it is wet, back on itself.'),
                { people: 1 },
              ),
              cleanTools(main),
              step.during(
                main,
                'sand',
                'handle',
                'Sand it level',
                10 * survey.damages.length,
                m(
                  'Block and {grit}, level with the film round it, never into the fibre. Wash, dust off, wipe, mask again.',
                  { grit: BLOCK_GRIT },
                ),
              ),
              ...tops.flatMap((top, i) => {
                const before = tops[i - 1];
                return [
                  ...mixSteps(work, top, before ? [overcoat(work, before)] : []),
                  step.touch(
                    top,
                    'topcoat',
                    top.title,
                    m(
                      '{card}, {wet} wet, from wet to dry, feathered inside the tape line.{more, select, yes { Flash off before the next.} other {}}',
                      {
                        card: top.card.code,
                        wet: q(wetUmOf(top), 'thinFilm'),
                        more: i < tops.length - 1 ? 'yes' : 'no',
                      },
                    ),
                    { people: 1, figures: ['wet', `round.${top.id}.total`] },
                  ),
                ];
              }),
            ]),
        cleanTools(end),
        leave(
          work,
          end,
          m('A lamp speeds it: half a metre off, the surface never over {most}.', {
            most: celsius(card.ambient.maxSurfaceC),
          }),
        ),
        step.inspect(
          'polish',
          'Sand and polish',
          15,
          m('Wash, then {grits}, each crosswise to the last, then polish. Wash.', {
            grits: grits(),
          }),
          {
            does: 'finish',
            figures: ['topcoatL'],
            uses: ['grit'],
            after: ready,
          },
        ),
        lookAndTap(
          ready,
          'No edge to the nail, no pinhole, one gloss under a low light. The witness felt beside it.',
          [
            wrong('An edge to the nail', 'Sand it down from P320, polish.'),
            wrong('Dull ring', 'Feather wider, one thin coat.'),
          ],
        ),
        fingernail(work),
        ...(paints(work)
          ? [thickness(work.buildMm, 3, m('Film gauge for this parent, three places or more.'))]
          : []),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        wipeNeed(work, m('the sanded spot')),
        {
          kind: 'plain',
          id: 'grit',
          name: `Paper ${BLOCK_GRIT}, ${grits()}`,
          for: m('sanding and polish'),
          amount: gritLadder({ ...LADDER }).grits.length + 1,
          quantity: 'count',
        },
        ...heldNeeds(work),
      ],
      figures: () => {
        const paths = work.bodies.flatMap((b) => b.body.paths);
        const painted = tops.length > 0 ? tops : fill;
        const ml = painted.reduce((s, r) => s + r.mixMl, 0);
        const lines = painted.flatMap((r) => r.working?.() ?? []);
        const dry = tops[0] ? TOP_UM / tops.length : main.buildMm * 1000;
        return [
          figureOf(
            'wet',
            'Wet film a coat',
            wetUm,
            'thinFilm',
            [
              line('DFT', 'dry film a coat', 'as planned', dry, 'µm'),
              line(
                'WFT',
                'wet film a coat',
                'DFT/volume solids',
                wetUm,
                'µm',
                `card ${(tops[0] ?? main).card.code}`,
              ),
            ],
            paths,
          ),
          figureOf(
            'topcoatL',
            paints(work) ? 'Paint' : 'Topcoat',
            ml,
            'volume',
            [...lines, line('V', 'in all coats', 'with what stays on the tools', ml, 'ml')],
            paths,
          ),
        ];
      },
    };
  },
};
