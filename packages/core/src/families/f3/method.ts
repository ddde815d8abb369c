import { line } from '../../calc/calc';
import { clearanceBuild } from '../../geometry/clearanceBuild';
import { PROOF_SHARE } from '../../inspect/shares';
import { joined, m, minutes, mm, q } from '../../message/message';
import { returnToService, hardness, lookAndTap } from '../../methods/accept';
import { cleanTools, coatRounds, coatSteps, mainSpec } from '../../methods/build';
import { leave, waitFor } from '../../methods/cure';
import { mixSteps, mixTouch } from '../../methods/mix';
import { isolate, protect, removeOld } from '../../methods/begin';
import { beforeMixing, heldNeeds } from '../../methods/gate';
import {
  degrease,
  degreaserNeed,
  drillEnds,
  dustOff,
  gradeStep,
  sweat,
  wipe,
  wipeNeed,
} from '../../methods/prep';
import { notBefore, stepsOf, wrong } from '../../methods/step';
import { BOND_SHARE, bondHolds } from '../../work/bond';
import { figureOf, type Figure } from '../../work/figure';
import type { Work } from '../../work/work';
import type { Method } from '../../family/family';
import type { BracketSurvey } from './survey';

const stepIds = ['gouge', 'dry-fit', 'tack', 'bulk', 'wet', 'clearance', 'proof'] as const;
const step = stepsOf(stepIds);
type W = Work<BracketSurvey>;

const LOOK_DAYS = { lasting: 60, stopgap: 7 };
/** Cross-section of the bead of tack adhesive and powder along a break, mm². */
const BEAD_MM2 = 6;
/** Thickness of a wetting coat scrubbed into the scratches, mm. */
const WET_MM = 0.3;
/** Length of a break that is tacked at one time, mm. */
const TACK_EACH_MM = 60;

const envelope = ({ survey, site }: W) =>
  clearanceBuild({
    stations: survey.damages.map((d, i) => ({
      name: `Place ${i + 1}`,
      clearanceMm: survey.load.clearanceMm,
      marginMm: site.clearanceMarginMm,
      wantedMm: d.shape === 'chip' ? d.depthMm : d.buildMm,
    })),
  });
const breaks = ({ survey }: W) => survey.damages.filter((d) => d.shape === 'snapped');
/** Kneaded by hand and pressed through: it wets by itself and needs no wetting coat. */
const putty = ({ card }: W) => card.mix.kind === 'single' || card.helps.includes('plug');

function bond({ survey, demand, card }: W): Figure[] {
  const shear = card.service.lapShearMPa;
  if (!demand.load || !shear) return [];
  const { newtons, areaMm2 } = demand.load;
  const holds = bondHolds(areaMm2, shear);
  return [
    figureOf(
      'bond',
      'Bond over load',
      holds / newtons,
      'count',
      [
        line('A', 'bonded area each side', 'lap of three walls, by the survey', areaMm2, 'mm²'),
        line('τ', 'lap shear strength', 'as on the card', shear, 'MPa', `card ${card.code}`),
        line('R', 'holds', `A·τ·${BOND_SHARE}`, holds, 'N'),
        line('F', 'load', 'survey', newtons, 'N'),
        line('R/F', 'times the load', 'R/F', holds / newtons),
      ],
      ['load.loadN', 'damages.0.lengthMm', 'damages.0.wallMm'],
    ),
    figureOf(
      'proof',
      'Proof load',
      newtons * PROOF_SHARE,
      'force',
      [
        line('F', 'load', 'survey', survey.load.loadN ?? 0, 'N'),
        line('P', 'proof load', `F·${PROOF_SHARE}`, newtons * PROOF_SHARE, 'N'),
      ],
      ['load.loadN'],
    ),
  ];
}

/** Holding time of a proof load, minutes. */
const PROOF_MIN = 5;

const proof = ({ demand }: W) =>
  step.inspect(
    'proof',
    'Proof load',
    15,
    demand.load
      ? m('Load it in steps to {load}, slowly, nobody under it. Hold {hold}: no crack, no creep.', {
          load: q(demand.load.newtons * PROOF_SHARE, 'force'),
          hold: minutes(PROOF_MIN),
        })
      : m('Press and shake it by hand harder than it will be in service: no crack, no creep.'),
    {
      hold: demand.load
        ? {
            kind: 'reading',
            label: m('Load held'),
            quantity: 'force',
            min: demand.load.newtons * PROOF_SHARE,
            max: null,
          }
        : { kind: 'check' },
      ...(demand.load ? { timed: { label: m('Load held'), minutes: PROOF_MIN, times: 1 } } : {}),
      figures: demand.load ? ['bond', 'proof'] : [],
      wrong: [
        wrong(
          'It cracks',
          'Strip it, lap it further, use a tougher material. A new part may be due.',
        ),
      ],
    },
  );

export const method: Method<BracketSurvey> = {
  stepIds,
  figureIds: ['bond', 'proof', 'envelope'],
  schools: [],
  cautions: [],
  nextLookDays: LOOK_DAYS,
  removal: () => [
    m('Grind or file it off; heat over its limit lets it go.'),
    m('A new part goes in as if nothing had been there.'),
  ],
  draft: (work) => {
    const { survey, site, demand, card } = work;
    const snapped = breaks(work);
    const lengthMm = snapped.reduce((s, d) => s + d.lengthMm, 0);
    const second = snapped.length > 0 ? work.second({ purpose: 'tack', wetted: false }) : null;
    const tack = second
      ? work.round({
          id: 'tack',
          purpose: 'tack',
          title: m('Tack'),
          ...second,
          netMl: (lengthMm * BEAD_MM2) / 1000,
          buildMm: 1,
          paths: ['damages.0.lengthMm'],
          touches: [mixTouch(second.card), { name: 'tack', placing: 1 }],
          needed: null,
        })
      : null;
    const wetting = putty(work)
      ? null
      : work.round(
          mainSpec(work, {
            id: 'wet',
            purpose: 'wet-coat',
            title: m('Wetting coat'),
            netMl: (work.areaMm2 * WET_MM) / 1000,
            buildMm: WET_MM,
            working: undefined,
            touches: [mixTouch(card), { name: 'wet', placing: 1 }],
            needed: null,
          }),
        );
    const coats = coatRounds(work, { areaMm2: 0 });
    const last = coats[coats.length - 1] as (typeof coats)[number];
    const ready = [notBefore(last, demand.needed)];
    const { stations } = envelope(work);
    const reduced = stations.filter((s) => s.verdict !== 'ok');
    return {
      rounds: [...(tack ? [tack] : []), ...(wetting ? [wetting] : []), ...coats],
      steps: [
        isolate(work),
        protect(work, {
          extra: m(
            'Bushes and moving faces under a removable putty. Mind what the solvent would hurt close by.',
          ),
          uses: ['putty'],
        }),
        ...removeOld(work),
        degrease(work),
        ...(survey.parent.material === 'cast-iron' || survey.parent.skin === 'oil-soaked'
          ? [sweat()]
          : []),
        step.prep(
          'gouge',
          'abrade',
          'Strip and gouge',
          20,
          m(
            'Paint off well past the break, {extent} and the laps of the build, with coarse grit: a glossy coat is no substrate, and gouges help.',
            { extent: mm(site.extentMm) },
          ),
          { sparks: survey.site.area === 'safe', figures: ['extent'] },
        ),
        gradeStep(work, site.extentMm),
        ...(snapped.length > 0 ? [drillEnds(snapped.length, survey.site.area === 'safe')] : []),
        dustOff(),
        step.prep(
          'dry-fit',
          'look',
          'Dry fit, check the clearances',
          15,
          joined([
            m('Put it together dry. Move what moves past it: {room} of room, {free} kept free.', {
              room: mm(survey.load.clearanceMm),
              free: mm(site.clearanceMarginMm),
            }),
            reduced.length > 0 &&
              m('Build at most {places}.', {
                places: reduced.map((s) =>
                  m('{build} at {name}', { build: mm(s.buildMm), name: s.name.toLowerCase() }),
                ),
              }),
          ]),
          {
            figures: ['envelope'],
            hold: { kind: 'photo', label: m('Fitted dry') },
            wrong: [wrong('It does not close', 'Take high spots off the break, not off the part.')],
          },
        ),
        wipe(work),
        ...beforeMixing(work),
        ...(tack
          ? [
              ...mixSteps(work, tack),
              step.touch(
                tack,
                'tack',
                'Tack the parts',
                m(
                  '{card} along the break, {each} at a time; filler powder and adhesive in turns, no bridge of powder left dry. Press, hold to its set. It only positions.',
                  { card: tack.card.code, each: mm(TACK_EACH_MM) },
                ),
                {
                  people: 1,
                  figures: ['round.tack.total'],
                  wrong: [
                    wrong(
                      'Out of line',
                      'Break it, clean it, tack it again: it cannot be pushed over.',
                    ),
                  ],
                },
              ),
              waitFor(
                tack,
                'tackFree',
                'Is the tack set',
                m('It holds by itself, nothing moves. Seconds, by its card.'),
              ),
            ]
          : []),
        ...(wetting
          ? [
              ...mixSteps(work, wetting),
              step.touch(
                wetting,
                'wet',
                'Wetting coat',
                m(
                  'A thin coat, {thick}, worked hard into the scratches. Leave it until it is firm, look for bare places.',
                  { thick: mm(WET_MM) },
                ),
                { people: 1, figures: ['round.wet.total'] },
              ),
            ]
          : []),
        ...coatSteps(
          work,
          coats,
          {
            first: putty(work)
              ? m('Press it through so that it keys on both faces, then build')
              : m(
                  'Build as thick as the clearance allows, shaped so that it clamps round the part:',
                ),
            last: m('Smooth with a wet finger where the card stands water.'),
            people: 1,
          },
          wetting
            ? [
                {
                  round: wetting.id,
                  at: 'tackFree',
                  until: 'overcoatCloses',
                  missed: 'abrade',
                  why: m('The wetting coat is tacky before it is built on, and not shiny.'),
                },
              ]
            : [],
        ),
        cleanTools(last),
        leave(work, last, m('Prop it: no load hangs on the bond.')),
        step.during(
          last,
          'dress',
          'handle',
          'Dress the film',
          10,
          m(
            'Sand the surface film off before paint; round every edge that a hand can meet. Dust off.',
          ),
        ),
        lookAndTap(ready),
        ...hardness(work),
        step.inspect(
          'clearance',
          'Clearance again',
          5,
          m('Move what moves, one full turn by hand: nothing touches, {free} stay free.', {
            free: mm(site.clearanceMarginMm),
          }),
        ),
        proof(work),
        ...returnToService(work, LOOK_DAYS[survey.intent]),
      ],
      needs: [
        degreaserNeed(work, m('the break and round it')),
        wipeNeed(work, m('the prepared metal')),
        {
          kind: 'plain',
          id: 'putty',
          name: 'Removable putty',
          for: m('bushes and moving faces'),
          amount: survey.damages.length,
          quantity: 'count',
        },
        ...heldNeeds(work),
      ],
      figures: () => {
        const { stations: places, working } = envelope(work);
        const least = Math.min(...places.map((s) => s.buildMm));
        return [
          figureOf(
            'envelope',
            'Build allowed',
            least,
            'length',
            [
              ...working,
              line('', 'least of them', places.map((s) => s.buildMm).join(', '), least, 'mm'),
            ],
            ['load.clearanceMm', 'damages.0.buildMm'],
          ),
          ...bond(work),
        ];
      },
    };
  },
};
