import { addFamily, familyOf, isFamily, type Survey } from '../src/families/registry';
import { template } from '../src/families/template';
import { readDraft, type SurveyDraft } from '../src/form/draft';
import { surveyLines } from '../src/form/lines';
import { withChanges } from '../src/match/changes';
import { matchAll } from '../src/match/match';
import { m } from '../src/message/message';
import { word } from '../src/message/word';
import { checkPlan } from '../src/plan/check';
import { makePlan } from '../src/plan/make';
import { drawSection } from '../src/plan/section';
import { commonUsual } from '../src/survey/common';
import { card, site } from './fixtures';

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

describe('a new family and card', () => {
  let forget: () => void;
  beforeAll(() => {
    forget = addFamily(template);
  });
  afterAll(() => forget());

  const surveyed = (): Survey => {
    const { survey, issues } = readDraft(draft, 'metric');
    expect(issues).toEqual([]);
    if (!survey) throw new Error('no survey');
    return survey;
  };

  test('are asked, read, drawn and told without code that names them', () => {
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
    expect(() => addFamily(template)).toThrow(/F90 already/);
  });

  test('are matched, changed, planned and checked like any other', () => {
    const survey = surveyed();
    const [match] = matchAll(survey, [stair], { site });
    expect(match?.judged.filter((j) => j.verdict === 'no').map((j) => word(j.because))).toEqual([]);
    expect(
      withChanges(survey, [{ say: m(''), path: 'readings.surfaceC', text: '25 °C' }]),
    ).toMatchObject({
      readings: { surfaceC: 25 },
    });
    const made = makePlan(survey, stair, { site, madeAt: '2026-11-24T08:05:00Z' });
    if (!made.ok) throw new Error(word(made.why));
    expect(checkPlan(made.plan).filter((f) => !f.ok)).toEqual([]);
    expect(made.plan.steps.map((s) => s.name)).toContain('fill-nosing');
    // 900 × 60 × 12 is 648 ml, and half a 100 µm profile over 540 cm² is 2.7.
    expect(made.plan.figures.total?.value).toBeCloseTo(648 + 2.7, 1);
  });
});
