import { z } from 'zod';
import { defineFamily, surveyOf } from '../src/family/family';
import { addFamily, familyOf, isFamily, type Survey } from '../src/families/registry';
import { readDraft, type SurveyDraft } from '../src/form/draft';
import { surveyLines } from '../src/form/lines';
import { matchAll } from '../src/match/match';
import { withChanges } from '../src/match/changes';
import { SUBSTRATE_NAMES } from '../src/materials/substrates';
import { m } from '../src/message/message';
import { word } from '../src/message/word';
import { returnToService, lookAndTap } from '../src/methods/accept';
import { cleanTools, mainSpec } from '../src/methods/build';
import { leave } from '../src/methods/cure';
import { mixSteps, mixTouch } from '../src/methods/mix';
import { isolate } from '../src/methods/begin';
import { beforeMixing, heldNeeds } from '../src/methods/gate';
import { degrease, degreaserNeed, dustOff, gradeStep } from '../src/methods/prep';
import { notBefore, stepsOf } from '../src/methods/step';
import { checkPlan } from '../src/plan/check';
import { makePlan } from '../src/plan/make';
import { drawSection } from '../src/plan/section';
import { groundSpec, size } from '../src/section/parts';
import { closingGroups, commonShape, commonUsual } from '../src/survey/common';
import { demandOf } from '../src/survey/demand';
import { choice, schemasOf } from '../src/survey/fields';
import { body, depth, length, pathsOf, wall, width } from '../src/survey/parts';
import type { Work } from '../src/work/work';
import { card, site } from './fixtures';

/** A family made up for this test: the worn nosing of a stair, filled flush. It is the worked example of the docs. */
const nosing = { lengthMm: length(3000), widthMm: width(200), depthMm: depth(40), wallMm: wall() };
const parentFields = {
  material: choice(['concrete', 'carbon-steel'] as const, SUBSTRATE_NAMES, {
    label: 'What it is made of',
    why: 'The card says what it holds on.',
  }),
};
const StairSurvey = z.strictObject({
  family: z.literal('F90'),
  ...commonShape,
  damages: z
    .array(z.strictObject({ shape: z.literal('nosing'), ...schemasOf(nosing) }))
    .min(1)
    .max(4),
  parent: z.strictObject(schemasOf(parentFields)),
});
type StairSurvey = z.infer<typeof StairSurvey>;

const stepIds = ['fill-nosing'] as const;
const step = stepsOf(stepIds);
const LOOK_DAYS = { lasting: 180, stopgap: 14 };

const f90 = defineFamily({
  typicalParent: 'concrete',
  mostDamages: 4,
  survey: surveyOf({
    id: 'F90',
    title: 'Stair nosing',
    hint: 'worn off its edge',
    kinds: ['stair'],
    shapes: [
      {
        shape: 'nosing',
        title: 'Nosing',
        hint: 'worn round',
        named: 'worn nosing',
        typical: { lengthMm: 900, widthMm: 60, depthMm: 12, wallMm: 150 },
        fields: nosing,
      },
    ],
    groups: [{ id: 'parent', title: 'What it is made of', fields: parentFields }, ...closingGroups],
    usual: { ...commonUsual },
    schema: StairSurvey,
    demand: (survey) =>
      demandOf(survey, {
        needed: 'lightLoad',
        bodies: survey.damages.map((d, i) =>
          body(
            'Nosing',
            { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm: d.depthMm },
            d.depthMm,
            pathsOf(i, 'lengthMm', 'widthMm', 'depthMm'),
          ),
        ),
        paths: {},
        longestMm: Math.max(...survey.damages.map((d) => d.lengthMm)),
        prepMm2: survey.damages.reduce((sum, d) => sum + d.lengthMm * d.widthMm, 0),
        refusals: [],
      }),
  }),
  section: (d, text) => groundSpec('Nosing', d, text, { across: size(text, d), bite: 'dished' }),
  method: {
    stepIds,
    figureIds: [],
    schools: [],
    cautions: [],
    nextLookDays: LOOK_DAYS,
    removal: () => [m('Chisel it off.')],
    draft: (work: Work<StairSurvey>) => {
      const main = work.round(
        mainSpec(work as Work, {
          id: 'main',
          purpose: 'fill',
          title: m('Nosing'),
          netMl: work.netMl,
          areaMm2: work.areaMm2,
          touches: [mixTouch(work.card), { name: 'fill-nosing', placing: 1 }],
        }),
      );
      const ready = [notBefore(main, work.demand.needed)];
      return {
        rounds: [main],
        steps: [
          isolate(work as Work, { extra: m('Close the flight at both ends.') }),
          degrease(work as Work),
          gradeStep(work as Work, 0),
          dustOff(),
          ...beforeMixing(work as Work),
          ...mixSteps(work as Work, main),
          step.touch(
            main,
            'fill-nosing',
            'Fill the nosing',
            m('Against a board, flush with the tread.'),
          ),
          cleanTools(main),
          leave(work as Work, main, m('Nobody on it.')),
          lookAndTap(ready, 'Flush, one sound, no edge that catches a boot.', []),
          ...returnToService(work as Work, LOOK_DAYS[work.survey.intent]),
        ],
        needs: [degreaserNeed(work as Work, m('the nosing')), ...heldNeeds(work as Work)],
        figures: () => [],
      };
    },
  },
});

const stair = { ...card, code: 'R-190', families: ['F90'] };
const draft: SurveyDraft = {
  family: 'F90',
  intent: 'lasting',
  startAt: '2026-11-24T08:00:00Z',
  asset: { id: null, tag: 'ST-1', name: 'Boiler-house stair', position: '', costPerHour: 50 },
  shapes: ['nosing'],
  texts: {
    ...commonUsual,
    'damages.0.lengthMm': '900',
    'damages.0.widthMm': '60',
    'damages.0.depthMm': '12',
    'damages.0.wallMm': '150',
    'parent.material': 'carbon-steel',
    'window.downMin': '40 h',
    'site.tools': 'blast',
    'readings.airC': '20',
    'readings.rhPct': '50',
    'readings.surfaceC': '20',
  },
};

describe('a family and a card that nobody knew before', () => {
  let forget: () => void;
  beforeAll(() => {
    forget = addFamily(f90);
  });
  afterAll(() => forget());

  const surveyed = (): Survey => {
    const { survey, issues } = readDraft(draft, 'metric');
    expect(issues).toEqual([]);
    if (!survey) throw new Error('no survey');
    return survey;
  };

  test('is asked, read, drawn and said without a line of code that names it', () => {
    const survey = surveyed();
    expect(isFamily('F90')).toBe(true);
    expect(surveyLines(survey, 'metric').map((l) => l.label)).toContain('Greatest depth');
    const [damage] = survey.damages;
    const drawing = drawSection('F90', damage as never, {
      width: 358,
      height: 230,
      system: 'metric',
      tag: 'ST-1',
      material: 'carbon-steel',
      medium: null,
      layers: ['planned'],
      edgeMm: 3,
      label: 'R-190',
      dimensions: true,
      unknown: [],
    });
    expect(drawing.prims.length).toBeGreaterThan(5);
    expect(() => familyOf('F91')).toThrow(/F91/);
    expect(() => addFamily(f90)).toThrow(/F90 already/);
  });

  test('is matched, changed, planned and checked like any other', () => {
    const survey = surveyed();
    const [match] = matchAll(survey, [stair], site);
    expect(match?.judged.filter((j) => j.verdict === 'no').map((j) => word(j.because))).toEqual([]);
    expect(
      withChanges(survey, [{ say: m(''), path: 'readings.surfaceC', text: '25 °C' }]),
    ).toMatchObject({
      readings: { surfaceC: 25 },
    });
    const made = makePlan(survey, stair, site, '2026-11-24T08:05:00Z');
    if (!made.ok) throw new Error(word(made.why));
    expect(checkPlan(made.plan).filter((f) => !f.ok)).toEqual([]);
    expect(made.plan.steps.map((s) => s.name)).toContain('fill-nosing');
    // 900 × 60 × 12 is 648 ml, and half a 100 µm profile over 540 cm² is 2.7.
    expect(made.plan.figures.total?.value).toBeCloseTo(648 + 2.7, 1);
  });
});
