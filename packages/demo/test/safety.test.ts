import {
  drawSection,
  layersText,
  makePlan,
  type FamilyId,
  type Plan,
  type Survey,
  word,
  stepWords,
} from '@kelmot/core';
import { demoCards, demoSurvey, siteSettings, surveyedRepairs, systemCards } from '../src/index';

const AT = '2026-11-25T08:00:00Z';

function planned(family: FamilyId, code: string, change: (s: Survey) => Survey = (s) => s): Plan {
  const found = surveyedRepairs.filter((r) => r.survey.family === family).at(-1);
  const card = systemCards.find((c) => c.code === code);
  if (!found || !card) throw new Error(`no ${family} or no ${code}`);
  const survey = change(demoSurvey(found.tag, null, AT, found.survey));
  const made = makePlan(survey, card, {
    site: siteSettings,
    madeAt: AT,
    context: { library: demoCards },
  });
  if (!made.ok) throw new Error(word(made.why));
  return made.plan;
}
const ids = (plan: Plan) => plan.cautions.map((c) => c.id);

/**
 * Always: made safe, dust, waste. Then the cautions of the work and the materials, second materials and aids included.
 */
test.each<[FamilyId, string, string[], string[]]>([
  ['F1', 'R-210', ['pressure', 'amine', 'exotherm', 'blast', 'solvent'], ['silica', 'tyre']],
  ['F3', 'X-870', ['amine', 'instant-bond', 'hot-work'], ['pressure', 'silica']],
  ['F4', 'W-310', ['pressure', 'isocyanate', 'amine'], ['tyre', 'lamp']],
  ['F5', 'W-350', ['pressure', 'amine', 'exotherm'], ['isocyanate']],
  ['F6', 'B-410', ['moving', 'rubber-dust', 'isocyanate', 'solvent'], ['silica', 'pressure']],
  ['F7', 'T-510', ['tyre', 'rubber-dust', 'solvent'], ['moving', 'silica']],
  ['F8', 'C-620', ['silica', 'isocyanate'], ['rubber-dust', 'acid-etch']],
  ['F9', 'C-645', ['silica', 'alkaline', 'acid-etch', 'solvent'], ['isocyanate']],
  ['F10', 'C-630', ['silica', 'traffic', 'amine'], ['alone']],
  ['F11', 'C-670', ['injection', 'isocyanate', 'amine', 'water'], ['tyre']],
  ['F12', 'X-810', ['no-ignition', 'no-ship', 'solvent', 'acid'], ['silica']],
  ['F13', 'X-830', ['water', 'alone', 'amine'], ['no-ignition']],
  ['F14', 'X-840', ['height', 'lamp-heat', 'isocyanate', 'solvent'], ['discharge']],
  ['F15', 'X-820', ['lamp', 'discharge', 'acrylate'], ['silica']],
  ['F16', 'S-710', ['rubber-dust', 'isocyanate', 'silica'], ['tyre']],
])('%s with %s: which cautions apply', (family, code, said, not) => {
  const plan = planned(family, code);
  expect(ids(plan)).toEqual(expect.arrayContaining(['isolate', 'dust', 'waste', ...said]));
  for (const id of not) expect(ids(plan)).not.toContain(id);
  expect(plan.gear.length).toBeGreaterThan(0);
  expect(new Set(plan.gear).size).toBe(plan.gear.length);
  expect(plan.removal.length).toBeGreaterThan(0);
  for (const s of plan.steps) for (const w of s.wrong) expect(word(w.remedy)).toMatch(/\.$/);
});

test('an explosive area, a closed space, hand tools: each has its own cautions', () => {
  const zoned = (s: Survey): Survey => ({
    ...s,
    intent: 'stopgap',
    site: { ...s.site, area: 'zone-2', closed: true, tools: 'hand' },
  });
  const plan = planned('F4', 'W-310', zoned);
  expect(ids(plan)).toEqual(expect.arrayContaining(['area', 'confined']));
  expect(ids(plan)).not.toContain('hot-work');
  expect(
    plan.steps
      .filter((s) => s.name === 'grade')
      .map((s) => stepWords(s))
      .join(),
  ).toMatch(/Non-sparking tools only/);
});

test.each([
  ['paste', /Take the old paste off with a chisel/],
  ['wrap', /Saw along the wrap on two opposite sides/],
  ['clamp', /Make sure that the line is empty/],
  ['film', /Leave no glossy place/],
] as const)('an old repair of %s is removed first, with a picture of its failure', (old, text) => {
  const plan = planned('F4', 'W-310', (s) => ({ ...s, past: { ...s.past, old } }));
  const at = (id: string) => plan.steps.findIndex((s) => s.id === id);
  expect(at('remove-old')).toBeGreaterThan(at('isolate'));
  expect(at('remove-old')).toBeLessThan(at('grade'));
  const removed = plan.steps[at('remove-old')];
  expect(removed?.hold?.kind).toBe('photo');
  expect(removed && stepWords(removed)).toMatch(text);
});

describe('the section with the plan’s layers', () => {
  const drawn = (plan: Plan) =>
    drawSection(plan.survey.family, plan.survey.damages[0] as Survey['damages'][number], {
      width: 500,
      height: 190,
      system: 'metric',
      tag: plan.survey.asset.tag,
      material: plan.survey.parent.material,
      medium: null,
      layers: ['planned'],
      edgeMm: 0,
      label: layersText(plan),
      dimensions: true,
      unknown: [],
      plan,
    });
  const texts = (plan: Plan) => drawn(plan).prims.flatMap((p) => ('text' in p ? [p.text] : []));

  test('a wrap has its designed plies and overlap', () => {
    const plan = planned('F5', 'W-330');
    const plies = plan.figures.layers?.value ?? 0;
    const areas = drawn(plan).prims.filter((p) => p.kind === 'area' && p.fill === 'planned');
    // The plies, and the fill of the hole.
    expect(areas).toHaveLength(plies + 1);
    expect(texts(plan)).toContain(`W-330, ${plies} plies`);
    expect(drawn(plan).describe).toMatch(/laid 85\.6 mm past it/);
  });

  test('sand is drawn below the working depth only where the plan has sand', () => {
    const sand = (plan: Plan) =>
      drawn(plan).prims.some((p) => p.kind === 'area' && p.fill === 'sand');
    expect(sand(planned('F10', 'C-630'))).toBe(true);
    expect(sand(planned('F8', 'C-620'))).toBe(false);
  });

  test.each([
    ['F7', 'T-510', '28'],
    ['F11', 'C-670', '20'],
    ['F6', 'B-410', '75'],
  ] as const)('%s with %s shows its own overlap of %s', (family, code, lap) => {
    expect(texts(planned(family, code))).toContain(lap);
  });
});
